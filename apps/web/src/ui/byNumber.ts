/** Compares labels as people count them: B2 before B10. */
export const byNumber = new Intl.Collator('en', { numeric: true })
