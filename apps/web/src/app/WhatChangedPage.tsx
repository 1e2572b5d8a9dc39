import { changedResults } from '@hedrion/core'
import { Link } from 'react-router'
import styled from 'styled-components'

/** The part of the change log that names moved results, newest first. */
export function WhatChangedPage() {
  const editions = [...new Set(changedResults.map(({ edition }) => edition))].sort((a, b) => b - a)
  return (
    <Page>
      <Link to="/">All projects</Link>
      <title>Changed results · Hedrion</title>
      <h1>Changed results</h1>
      <p>Corrections that change the results of existing projects, with their clauses.</p>
      {editions.map((edition) => (
        <section key={edition} aria-label={`Edition ${edition}`}>
          <h2>Edition {edition}</h2>
          <dl>
            {changedResults
              .filter((entry) => entry.edition === edition)
              .map(({ clause, words }) => (
                <div key={words}>
                  <dt>{clause}</dt>
                  <dd>{words}</dd>
                </div>
              ))}
          </dl>
        </section>
      ))}
    </Page>
  )
}

const Page = styled.main`
  max-width: 820px;
  margin: 0 auto;
  padding: 40px 24px;
  display: flex;
  flex-direction: column;
  gap: 16px;
  a {
    color: var(--accent);
  }
  h1 {
    font: 600 24px/1.3 var(--serif);
    margin: 0;
  }
  h2 {
    font: 600 17px/1.3 var(--serif);
    margin: 0 0 8px;
  }
  p,
  dl {
    margin: 0;
  }
  dt {
    color: var(--quiet);
  }
  dl > div {
    display: grid;
    grid-template-columns: 240px 1fr;
    gap: 16px;
    padding: 8px 0;
    border-top: 1px solid var(--hairline);
  }
  dd {
    margin: 0;
  }
`
