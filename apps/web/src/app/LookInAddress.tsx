import { useEffect, useRef } from 'react'
import { NavigationType, useLocation, useNavigate, useNavigationType } from 'react-router'
import { addressOf, lookAt, setLook, useLook } from '../state/look'

const remembered = 30

/** Keeps what is looked at and the address alike, so that a reload, a link and the Back button show the same. */
export function LookInAddress() {
  const [look] = useLook()
  const { search } = useLocation()
  const navigate = useNavigate()
  const navigationType = useNavigationType()
  /** Addresses of our own making, which replace each other: hearing of them again must not take the look back. */
  const written = useRef<string[]>([search])
  useEffect(() => {
    const address = addressOf(look)
    if (address === written.current.at(-1)) return
    written.current = [...written.current, address].slice(-remembered)
    void navigate({ search: address }, { replace: true, preventScrollReset: true })
  }, [look, navigate])
  useEffect(() => {
    // a link or a find may lead to what was looked at before
    if (navigationType === NavigationType.Replace && written.current.includes(search)) return
    if (written.current.at(-1) === search) return
    written.current = [...written.current, search].slice(-remembered)
    setLook(lookAt(search))
  }, [search, navigationType])
  return null
}
