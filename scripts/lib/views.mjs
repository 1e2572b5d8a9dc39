/** The demo project, which is there at the first start. */
const demo = '/p/00000000-0000-4000-8000-00000000d3a0'

const press = (name) => (page) => page.getByRole('button', { name }).first().click()

/** The main views: where they are, a text that stands there once they are drawn, and what is done before the picture. */
export const views = [
  {
    name: 'basis',
    address: `${demo}/basis`,
    shows: 'Peak velocity pressure at the top',
    then: async (page) => {
      await page.getByRole('button', { name: /Imposed loads by use/ }).click()
      const field = page.getByRole('textbox', { name: 'q_k, uniform load, C3' })
      const line = field.locator('xpath=ancestor::*[.//button[contains(@aria-label, "why?")]][1]')
      await line.getByRole('button', { name: /why\?/ }).click()
      await page.getByRole('img', { name: /Use in this building/ }).waitFor()
    },
  },
  {
    name: 'site-map',
    address: `${demo}/basis`,
    shows: 'Site data',
    then: async (page) => {
      await page.getByRole('button', { name: 'Show the map' }).click()
      await page.getByRole('button', { name: 'Marrowfield', exact: true }).click()
      await page.getByText('wind, zone 2').waitFor()
    },
  },
  {
    // in dark colours, with the section through a build-up
    name: 'actions-dark',
    address: `${demo}/actions?shown=area`,
    shows: 'Floor loads',
    then: async (page) => {
      await press('Switch to dark appearance')(page)
      await page.getByRole('img', { name: 'Section through the floor, to scale' }).first().scrollIntoViewIfNeeded()
    },
  },
  { name: 'building', address: `${demo}/building`, shows: 'Levels' },
  {
    name: 'building-sentence',
    address: '/',
    shows: 'Marrowfield',
    then: async (page) => {
      await page.getByRole('button', { name: 'New building', exact: true }).click()
      await page.getByRole('textbox', { name: 'The building in one sentence' }).waitFor()
    },
  },
  {
    name: 'actions',
    address: `${demo}/actions?shown=area`,
    shows: 'Floor loads',
    then: press('wall run W1'),
  },
  {
    name: 'building-roof',
    address: `${demo}/building`,
    shows: 'Levels',
    then: async (page) => {
      await page.getByRole('button', { name: 'Find' }).click()
      await page.getByRole('searchbox', { name: 'Find' }).fill('member T1 level Eaves')
      await page.getByRole('option', { name: /^member T1, level Eaves/ }).click()
      await page.getByRole('img', { name: /to scale/ }).waitFor()
    },
  },
  {
    name: 'wall-surface',
    address: `${demo}/actions?case=wind/east&level=level:ww2w9p3g2dq9xef3&pick=wallSurface:74u2anyi3vpwifuy@level:ww2w9p3g2dq9xef3`,
    shows: 'Supporting members',
    then: async (page) => {
      await page.getByRole('img', { name: /^Elevation of segment/ }).scrollIntoViewIfNeeded()
      await page.getByText('supported by').last().scrollIntoViewIfNeeded()
    },
  },
  { name: 'space', address: `${demo}/paths?view=space&shown=both`, shows: 'By level' },
  { name: 'loading-plan', address: `${demo}/print`, shows: '1:200 on A3' },
  { name: 'wind', address: `${demo}/actions?case=wind/west`, shows: 'Wind from the west' },
  {
    name: 'storeys',
    address: `${demo}/paths?case=wind/west&level=level:7dfadexirebhefbu`,
    shows: 'Lateral stability',
  },
  { name: 'paths', address: `${demo}/paths`, shows: 'By level' },
  {
    name: 'paths-column',
    address: `${demo}/paths`,
    shows: 'By level',
    then: async (page) => {
      await page.getByRole('button', { name: 'Find' }).click()
      await page.getByRole('searchbox', { name: 'Find' }).fill('member C9 level 1')
      await page.getByRole('option', { name: 'member C9, level 1' }).click()
    },
  },
  {
    name: 'paths-beam',
    address: `${demo}/paths`,
    shows: 'By level',
    then: async (page) => {
      await page.getByRole('button', { name: 'Find' }).click()
      await page.getByRole('searchbox', { name: 'Find' }).fill('member B16 level 1')
      await page.getByRole('option', { name: 'member B16, level 1' }).click()
    },
  },
  {
    name: 'why',
    address: `${demo}/paths`,
    shows: 'By level',
    then: (page) =>
      page
        .getByRole('contentinfo')
        .getByRole('button', { name: /2\s368\.8 kN, why/ })
        .last()
        .click(),
  },
  { name: 'combinations', address: `${demo}/combinations`, shows: 'Rules' },
  { name: 'envelopes', address: `${demo}/envelopes`, shows: 'Maximum and minimum' },
  { name: 'handover', address: `${demo}/handover`, shows: 'agrees' },
]
