/** Result of comparing a certificate's paper with its file. */
export type Checked =
  | { readonly kind: 'same'; readonly serial: string; readonly blade: string }
  | { readonly kind: 'other' }
  | { readonly kind: 'no-code' }

export function checkedWords(checked: Checked): string {
  switch (checked.kind) {
    case 'same':
      return `Paper and file are the same: the certificate of ${checked.blade}, ${checked.serial}.`
    case 'other':
      return 'The file is not the one this paper was drawn up from: something in one of them was changed, or they belong to different blades.'
    case 'no-code':
      return 'That is no digest: 32 signs from 0 to 9 and a to f stand on the paper, in groups of four.'
  }
}

/** Why a file is not read as a certificate. */
export function notACertificate(name: string, json: unknown): string {
  const one: unknown = Array.isArray(json) ? json[0] : json
  const version = typeof one === 'object' && one !== null && 'version' in one ? Number(one.version) : Number.NaN
  return version > 0 && version < 4
    ? `“${name}” is a certificate of an earlier version, which had no digest yet. Draw it up again from the batch.`
    : `“${name}” is not a certificate’s file. It is what “Machine-readable” saves, or what is attached to the PDF.`
}
