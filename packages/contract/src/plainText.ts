/** A text that every store and file can hold: no NUL, and no half of a character. */
export const plainText = /^[^\0\p{Surrogate}]*$/u

export const plainTextRule = (what: string) => ({
  message: `The ${what} contains a NUL character or a lone surrogate.`,
})
