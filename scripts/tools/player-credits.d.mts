import type { Plugin } from 'vite'

export function playerCredits(file: string): Plugin
