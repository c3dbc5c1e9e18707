const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.isContentEditable ||
    /^(INPUT|SELECT|TEXTAREA)$/.test(target.tagName) ||
    target.getAttribute('role') === 'slider')

/** A shortcut that leaves fields, sliders and open dialogs their own keys. */
export const unlessTyping = (act: () => void) => (event: KeyboardEvent) => {
  if (isTyping(event.target) || document.querySelector('[role="dialog"], [role="alertdialog"]')) return
  event.preventDefault()
  act()
}
