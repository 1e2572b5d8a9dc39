/** A text cut to so many UTF-16 units, without half of a character at its end. */
export const cut = (text: string, most: number): string => text.slice(0, most).replace(/[\ud800-\udbff]$/, '')

/** The end of a text, likewise without half of a character at its start. */
export const cutToEnd = (text: string, most: number): string => text.slice(-most).replace(/^[\udc00-\udfff]/, '')
