import type { Page } from '@playwright/test'

/** Elements of a view that are too small, or that overflow the window. */
export interface TooSmall {
  readonly texts: string[]
  readonly controls: string[]
  /** How far the page reaches past the window's side, px. */
  readonly overflowPx: number
}

/** Text from 13 px (12 in the rail), controls from 44 px high, 32 in the rows of tables and lists; links in running text aside. */
export const tooSmallIn = async (page: Page): Promise<TooSmall> => ({
  texts: await smallTextsIn(page),
  controls: await lowControlsIn(page),
  overflowPx: await page.evaluate(() => document.documentElement.scrollWidth - innerWidth),
})

const smallTextsIn = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const sizeOf = (element: Element) => {
      const px = Number.parseFloat(getComputedStyle(element).fontSize)
      const matrix = element instanceof SVGGraphicsElement ? element.getScreenCTM() : null
      return matrix ? px * Math.hypot(matrix.a, matrix.b) : px
    }
    const isRead = (element: Element) => {
      const box = element.getBoundingClientRect()
      return (
        box.width >= 2 &&
        box.height >= 2 &&
        element.checkVisibility({ visibilityProperty: true }) &&
        getComputedStyle(element).opacity !== '0' &&
        !element.closest('.sr-only, script, style')
      )
    }
    const small: string[] = []
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
    while (walker.nextNode()) {
      const text = walker.currentNode.textContent?.trim() ?? ''
      const element = walker.currentNode.parentElement
      if (text === '' || !element || !isRead(element)) continue
      const least = element.closest('nav[aria-label="Places"]') ? 12 : 13
      if (sizeOf(element) < least - 0.05) small.push(`${text.slice(0, 40)}: ${sizeOf(element).toFixed(1)} px`)
    }
    return small
  })

const lowControlsIn = (page: Page): Promise<string[]> =>
  page.locator('a[href], button, input, select, textarea, summary').evaluateAll(elements => {
    const isPressed = (element: Element) => {
      const box = element.getBoundingClientRect()
      const style = getComputedStyle(element)
      return (
        box.width >= 2 &&
        box.height >= 2 &&
        style.visibility !== 'hidden' &&
        style.opacity !== '0' &&
        !element.closest('.sr-only, svg') &&
        !(element.tagName === 'A' && style.display === 'inline')
      )
    }
    return elements.filter(isPressed).flatMap(element => {
      const { height } = (element.closest('label') ?? element).getBoundingClientRect()
      const least = element.closest('tr, li, dl') ? 32 : 44
      const name = element.getAttribute('aria-label') ?? element.textContent ?? ''
      return height < least - 0.5 ? [`${name.trim().slice(0, 40)} (${element.tagName}): ${Math.round(height)} px`] : []
    })
  })
