import { existsSync } from 'node:fs'

const SHELL = '/usr/bin/chromium-headless-shell'

/** Chromium as people have it, for benchmarks and screenshots, and for tests that kill its process. */
export const CHROMIUM = process.env.CHROMIUM_PATH || '/usr/bin/chromium'
/** The same without windows, which starts and loads faster; chromium itself if it is missing. */
export const headlessPath = () => (!process.env.CHROMIUM_PATH && existsSync(SHELL) ? SHELL : CHROMIUM)
