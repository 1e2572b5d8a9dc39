import { useEffect } from 'react'
import { NavigationType, useLocation, useNavigate, useNavigation, useNavigationType, useParams } from 'react-router'
import { addressOf, lookAt, setLook, useLook } from '../state/look'
import { lastWritten, wasWritten, writeDown } from '../state/writtenAddresses'

/** Keeps what is looked at and the address alike, so that a reload, a link and the Back button show the same. */
export function LookInAddress() {
  const [look] = useLook()
  const { search } = useLocation()
  const { project = '' } = useParams()
  const navigate = useNavigate()
  const navigationType = useNavigationType()
  // a page that is on its way is not given up because something is looked at before it has come
  const onItsWay = useNavigation().location?.pathname
  const pathname = onItsWay?.startsWith(`/p/${project}/`) ? onItsWay : undefined
  useEffect(() => {
    const address = addressOf(look)
    if (address === lastWritten()) return
    writeDown(address)
    void navigate({ search: address, ...(pathname ? { pathname } : {}) }, { replace: true, preventScrollReset: true })
  }, [look, navigate, pathname])
  useEffect(() => {
    // a link or a find may lead to what was looked at before
    if (navigationType === NavigationType.Replace && wasWritten(search)) return
    if (lastWritten() === search) return
    writeDown(search)
    setLook(lookAt(search))
  }, [search, navigationType])
  return null
}
