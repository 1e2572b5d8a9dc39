const remembered = 30

/** Addresses of our own making, which replace each other: hearing of them again must not take the look back. */
let written: readonly string[] = []

export const lastWritten = (): string | undefined => written.at(-1)

export const wasWritten = (search: string): boolean => written.includes(search)

export function writeDown(search: string): void {
  written = [...written, search].slice(-remembered)
}

/** A page that begins knows the address that it begins with, and none of those before. */
export function beginWith(search: string): void {
  written = [search]
}
