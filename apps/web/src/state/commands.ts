import { useEffect, useRef } from 'react'
import { create } from 'zustand'

/** What Find can do by name, with the step where it is done. */
export const commands = {
  wallRoundOutline: { text: 'Wall round the outline', step: 'actions' },
  addLoadKey: { text: 'Add load key', step: 'actions' },
  addLevelOnTop: { text: 'Add level on top', step: 'building' },
  addLayout: { text: 'Add layout', step: 'building' },
  importPlan: { text: 'Import a plan (DXF)', step: 'building' },
  memberTable: { text: 'Members from a table', step: 'building' },
} as const
export type CommandName = keyof typeof commands

/** The command that was asked for and is not done yet: its step may still be on its way. */
const useAsked = create<{ readonly asked: CommandName | null }>(() => ({ asked: null }))

export const askFor = (asked: CommandName): void => useAsked.setState({ asked })

/** One that was not done is forgotten when its step is left: nothing happens later that nobody remembers asking for. */
export function useForgottenOnLeaving(step: string): void {
  useEffect(() => {
    const { asked } = useAsked.getState()
    if (asked && commands[asked].step !== step) useAsked.setState({ asked: null })
  }, [step])
}

/** Does a command when it is asked for, as soon as it can be done; null for what no command leads to. */
export function useCommand(name: CommandName | null, run: () => void, isReady = true): void {
  const asked = useAsked((state) => name !== null && state.asked === name)
  const latest = useRef(run)
  useEffect(() => {
    latest.current = run
  })
  useEffect(() => {
    if (!asked || !isReady) return
    useAsked.setState({ asked: null })
    latest.current()
  }, [asked, isReady])
}
