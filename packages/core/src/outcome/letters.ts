/** With its first letter large, as at the start of a sentence. */
export const capitalized = (text: string): string => `${text.slice(0, 1).toUpperCase()}${text.slice(1)}`

/** With its first letter small, as within a sentence. */
export const uncapitalized = (text: string): string => `${text.slice(0, 1).toLowerCase()}${text.slice(1)}`
