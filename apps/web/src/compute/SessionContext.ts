import type { Answer, Document, Kind, NumberFormat, Query, Rec, RecOf } from '@hedrion/core'
import { familyOf, recordsOf } from '@hedrion/core'
import { createContext, startTransition, useCallback, useContext, useEffect, useMemo, useState } from 'react'
import { useStore } from 'zustand'
import { useShallow } from 'zustand/react/shallow'
import type { DocumentState } from '../state/documentStore'
import type { Held } from './answers'
import type { ProjectSession } from './session'

export const SessionContext = createContext<ProjectSession | null>(null)

/** The open project; only below the shell. */
export function useSession(): ProjectSession {
  const session = useContext(SessionContext)
  if (!session) throw new Error('No project is open here')
  return session
}

export function useDocumentState<T>(select: (state: DocumentState) => T): T {
  return useStore(useSession().store, select)
}

/** The whole document: whoever looks at it is drawn anew at every change, so look at records where that is enough. */
export const useDocument = (): Document => useDocumentState(({ document }) => document)

/** The document of the moment, for what happens later than drawing. */
export function useGetDocument(): () => Document {
  const { store } = useSession()
  return useCallback(() => store.getState().document, [store])
}

/** The records of a kind by their ids; the same list while none of them changes. */
export const useRecords = <K extends Kind>(kind: K): readonly RecOf<K>[] =>
  useStore(
    useSession().store,
    useShallow(({ document }: DocumentState) => recordsOf(document, kind)),
  )

/** One record, or undefined where it is not (any more). */
export const useRecord = (id: string | null | undefined): Rec | undefined =>
  useDocumentState(({ document }) => (id ? document.records.get(id) : undefined))

/** Units and decimal sign of the project. */
export function useFormat(): NumberFormat {
  const [basis] = useRecords('basis')
  const system = basis?.units ?? 'metric'
  const decimal = basis?.decimal ?? 'point'
  const { words } = familyOf(basis?.family ?? 'EN')
  return useMemo(() => ({ system, decimal, words }), [system, decimal, words])
}

interface Shown {
  readonly key: string
  readonly held: Held<unknown>
}

/**
 * The worker's answer to a query with its state: the last answer stays until the next is there. Answers come in as
 * transitions: the screen is drawn in slices, several answers at once, and typing is never kept waiting.
 */
export function useHeld<Q extends Query>(query: Q): Held<Answer<Q>> {
  const { answers } = useSession()
  const key = JSON.stringify(query)
  const [shown, setShown] = useState<Shown>(() => ({ key, held: answers.held(query) }))
  useEffect(() => {
    // the key says all there is to a query
    const followed = JSON.parse(key) as Q
    const take = () => {
      const held = answers.held(followed)
      startTransition(() => setShown((before) => (before.key === key && before.held === held ? before : { key, held })))
    }
    const stop = answers.follow(followed, take)
    take()
    return stop
  }, [answers, key])
  // another query than the one shown: what is known of it already
  return (shown.key === key ? shown.held : answers.held(query)) as Held<Answer<Q>>
}

/** The answer alone. */
export const useAnswer = <Q extends Query>(query: Q): Answer<Q> | undefined => useHeld(query).answer
