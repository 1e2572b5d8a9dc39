import { useNavigate } from 'react-router'
import { addressOf, lookNow, setLook, type Look } from '../state/look'
import { writeDown } from '../state/writtenAddresses'

/**
 * Goes to a page of the project and looks at something there. What is looked at changes at once, before the page has come:
 * whoever clicks a step in the meantime takes it along.
 */
export function useGoTo(): (pathname: string, change: Partial<Look>) => void {
  const navigate = useNavigate()
  return (pathname, change) => {
    const look = { ...lookNow(), ...change }
    const search = addressOf(look)
    writeDown(search)
    setLook(look)
    void navigate({ pathname, search })
  }
}
