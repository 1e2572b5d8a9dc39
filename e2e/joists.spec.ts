import { expect, test } from '@playwright/test'
import { balance, builtFrom, openRecords, saved } from './support'

test('joists at a spacing across the span of a panel: how many is said first, and all of the load still arrives', async ({
  page,
  request,
}) => {
  const id = await builtFrom(
    page,
    request,
    'Joists',
    '1 x 6 m by 1 x 6 m, 1 storey of 3.5 m, beams every 6 m, 150 mm concrete, offices',
  )
  await page.getByRole('button', { name: 'as a list' }).click()
  await page.getByRole('option', { name: /^Panel P1,/ }).click()
  const field = page.getByRole('textbox', { name: 'Joists across the span' })
  await field.fill('often')
  await field.press('Enter')
  await expect(page.getByRole('alert')).toContainText('Enter “every 0.6 m” or “at most 0.6 m”')
  await field.fill('every 1.5 m')
  await expect(page.getByText('Enter adds 3 joists.')).toBeVisible()
  await field.press('Enter')
  await saved(page)
  const records = Object.values((await openRecords(request, id)).records)
  expect(records.filter(({ kind, role }) => kind === 'member' && role === 'joist')).toHaveLength(3)
  await expect(page.getByRole('heading', { name: /3 members|3 joists|3 beams/ }).first()).toBeVisible()
  await expect.poll(() => balance(page)).toMatch(/all load reaches a support/)
})
