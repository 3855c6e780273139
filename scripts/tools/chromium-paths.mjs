import { existsSync } from 'node:fs'

const SHELL = '/usr/bin/chromium-headless-shell'

/** Chromium as people have it, for what is measured and pictured, and for tests that end it by its process. */
export const CHROMIUM = process.env.CHROMIUM_PATH || '/usr/bin/chromium'
/** The same without windows, which starts and loads sooner; chromium itself where it is not there. */
export const headlessPath = () => (!process.env.CHROMIUM_PATH && existsSync(SHELL) ? SHELL : CHROMIUM)
