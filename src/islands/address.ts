/** Part of this page's address, counted from 1, as it was meant: '/batch/7f/heat' has 'batch', '7f' and 'heat'. Empty where there is none. */
export function addressPart(n: number): string {
  const part = location.pathname.split('/')[n] ?? ''
  try {
    return decodeURIComponent(part)
  } catch {
    // A lone % in a mistyped address: there is nothing of that name.
    return part
  }
}
