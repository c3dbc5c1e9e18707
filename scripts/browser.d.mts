export const HEADLESS_SHELL: string
export const CHROMIUM: string
export function testBrowser(): string
