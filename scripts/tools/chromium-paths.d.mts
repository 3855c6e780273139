export declare const CHROMIUM: string
export declare const headlessPath: () => string
