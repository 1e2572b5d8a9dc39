import { expect, test } from '@playwright/test'
import { newProject } from './support'

test('the demo is there at the first start', async ({ page }) => {
  await page.goto('/')
  const demo = page.getByRole('list', { name: 'Projects' }).locator('a[href*="00000000-0000-4000-8000-00000000d3a0"]')
  await expect(demo).toHaveText('Marrowfield Library & Workshop')
})

test('a deleted project is found among those that were deleted, also after a reload, and comes back', async ({
  page,
  request,
}) => {
  const name = `Thrown away ${crypto.randomUUID().slice(0, 8)}`
  await newProject(request, name)
  await page.goto('/')
  await page.getByRole('button', { name: `Delete ${name}` }).click()
  await expect(page.getByRole('list', { name: 'Projects' }).getByText(name)).toHaveCount(0)
  await page.reload()
  await page.getByRole('button', { name: 'Show deleted projects' }).click()
  await page.getByRole('button', { name: `Restore ${name}` }).click()
  await expect(page.getByRole('list', { name: 'Projects' }).getByRole('link', { name })).toBeVisible()
  await expect(page.getByRole('button', { name: `Restore ${name}` })).toHaveCount(0)
})

test('an answer that is lost: asked for again, the building is made once', async ({ page, request }) => {
  await page.goto('/')
  const keys: (string | undefined)[] = []
  await page.route('**/api/projects', async (route) => {
    if (route.request().method() !== 'POST') return route.continue()
    keys.push(route.request().headers()['idempotency-key'])
    if (keys.length > 1) return route.continue()
    await route.fetch()
    return route.abort()
  })
  await page.getByRole('button', { name: 'New building', exact: true }).click()
  await expect(page.getByRole('alert')).toHaveText('The server is not responding.')
  await page.getByRole('button', { name: 'New building', exact: true }).click()
  await expect(page).toHaveURL(new RegExp(`/p/${keys[0]}/building`))
  expect(keys[1]).toBe(keys[0])
  expect((await request.get(`/api/projects/${keys[0]}`)).ok()).toBe(true)
})
