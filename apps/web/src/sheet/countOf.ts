/** "1 beam", "3 patches". */
export const countOf = (count: number, word: string): string =>
  `${count} ${count === 1 ? word : word === 'patch' ? 'patches' : `${word}s`}`
