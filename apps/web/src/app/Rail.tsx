import { NavLink } from 'react-router'
import styled from 'styled-components'
import { useAnswer, useFormat } from '../compute/SessionContext'
import { addressOf, useLook } from '../state/look'
import { stepFigure, stepNames, stepTitles } from './steps'

/** The steps stand one under another, as a load path runs down a building, to the ground. */
export function Rail({ base }: { readonly base: string }) {
  const overview = useAnswer({ kind: 'overview' })
  const format = useFormat()
  const [look] = useLook()
  return (
    <Nav aria-label="Steps">
      <List>
        {stepNames.map((step) => {
          const { text, warm } = stepFigure(step, overview, format)
          return (
            <li key={step}>
              <Step to={`${base}/${step}${addressOf(look)}`}>
                <Diamond aria-hidden />
                <span>
                  <Name>{stepTitles[step]}</Name>
                  <Figure data-warm={warm || undefined}>{text}</Figure>
                </span>
              </Step>
            </li>
          )
        })}
      </List>
      <Ground aria-hidden />
    </Nav>
  )
}

const Nav = styled.nav`
  width: 149px;
  flex: none;
  border-right: 1px solid var(--hairline);
  padding: 18px 0 16px;
  display: flex;
  flex-direction: column;
  position: relative;
  overflow-y: auto;
  &::before {
    content: '';
    position: absolute;
    left: 27px;
    top: 34px;
    bottom: 36px;
    width: 3px;
    background: var(--hairline);
  }
`
const List = styled.ol`
  list-style: none;
  margin: 0;
  padding: 0;
  flex: 1;
`
const Step = styled(NavLink)`
  position: relative;
  display: flex;
  gap: 8px;
  padding: 9px 8px 9px 18px;
  min-height: 62px;
  color: var(--ink);
  text-decoration: none;
  &:hover span span:first-child {
    text-decoration: underline;
    text-underline-offset: 3px;
  }
  &.active i {
    background: var(--accent);
    border-color: var(--accent);
  }
  &.active span span:first-child {
    font-weight: 600;
  }
  &:focus-visible {
    outline-offset: -2px;
  }
`
const Diamond = styled.i`
  flex: none;
  width: 16px;
  height: 16px;
  margin: 3px 4px 0 2px;
  transform: rotate(45deg);
  background: var(--film);
  border: 2px solid var(--quiet);
`
const Name = styled.span`
  display: block;
  line-height: 1.3;
`
const Figure = styled.span`
  display: block;
  font-size: 13px;
  line-height: 1.3;
  color: var(--quiet);
  &[data-warm] {
    color: var(--warm);
    font-weight: 600;
  }
`
/** Where the line of steps ends: the ground, as it is drawn under a support. */
const Ground = styled.i`
  flex: none;
  position: absolute;
  left: 17px;
  bottom: 24px;
  width: 23px;
  height: 12px;
  border-top: 2px solid var(--quiet);
  background: repeating-linear-gradient(135deg, var(--quiet) 0 1.5px, transparent 1.5px 5px);
`
