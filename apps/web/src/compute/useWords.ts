import { inWordsOf } from '@hedrion/core'
import { useCallback } from 'react'
import { useFormat } from './SessionContext'

/** Says a text of the product in the words of the family in use; names that a person gave are put in afterwards. */
export type InWords = (text: string) => string

export function useWords(): InWords {
  const { words } = useFormat()
  return useCallback((text) => inWordsOf(words, text), [words])
}
