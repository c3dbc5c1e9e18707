/** Whether a record is there: one that was taken off rests until it is brought back. */
export const isThere = ({ deletedAt }: { readonly deletedAt?: string | null | undefined }): boolean => !deletedAt
