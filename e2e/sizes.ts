import type { Page } from '@playwright/test'

/** What is too small in a view, or reaches out of it, at the window's size. */
export interface TooSmall {
  readonly texts: string[]
  readonly controls: string[]
  /** How far the page reaches past the window's side, px. */
  readonly overflowPx: number
}

/** Text from 13 px (12 in the rail), controls from 44 px high, 32 in the rows of tables and lists; links in running text aside. */
export const tooSmallIn = (page: Page): Promise<TooSmall> =>
  page.evaluate(() => {
    const LEAST = { text: 13, rail: 12, control: 44, inRow: 32 }
    const isShown = (element: Element) => {
      const box = element.getBoundingClientRect()
      const style = getComputedStyle(element)
      if (box.width < 2 || box.height < 2 || style.visibility === 'hidden' || style.opacity === '0') return false
      return !element.closest('.sr-only')
    }
    const sizeOf = (element: Element) => {
      const px = Number.parseFloat(getComputedStyle(element).fontSize)
      const matrix = element instanceof SVGGraphicsElement ? element.getScreenCTM() : null
      return matrix ? px * Math.hypot(matrix.a, matrix.b) : px
    }
    const texts: string[] = []
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
    while (walker.nextNode()) {
      const text = walker.currentNode.textContent?.trim() ?? ''
      const element = walker.currentNode.parentElement
      if (text === '' || !element || /^(SCRIPT|STYLE)$/.test(element.tagName) || !isShown(element)) continue
      const least = element.closest('nav[aria-label="Places"]') ? LEAST.rail : LEAST.text
      if (sizeOf(element) < least - 0.05) texts.push(`${text.slice(0, 40)}: ${sizeOf(element).toFixed(1)} px`)
    }
    const controls: string[] = []
    for (const element of document.querySelectorAll('a[href], button, input, select, textarea, summary')) {
      if (!isShown(element) || element.closest('svg')) continue
      if (element.tagName === 'A' && getComputedStyle(element).display === 'inline') continue
      const target = element.closest('label') ?? element
      const { height } = target.getBoundingClientRect()
      const least = element.closest('tr, li, dl') ? LEAST.inRow : LEAST.control
      const name = element.getAttribute('aria-label') ?? element.textContent ?? ''
      if (height < least - 0.5)
        controls.push(`${name.trim().slice(0, 40)} (${element.tagName}): ${Math.round(height)} px`)
    }
    return { texts, controls, overflowPx: document.documentElement.scrollWidth - innerWidth }
  })
