import type { ApiProblem, SiteData, SiteRegion } from '@hedrion/contract'
import { startTestServer, type TestServer } from '../testing/testServer'
import { elevation, siteAt } from './aldermere'

let server: TestServer
beforeAll(async () => (server = await startTestServer()))
afterAll(() => server.close())

const ask = async (query: string) => server.send<SiteData & ApiProblem>('GET', `/api/site-data?${query}`)

describe('site data of the invented region', () => {
  test('a place by its address: the demo’s town has the values that the demo has', async () => {
    const { status, body } = await ask('address=12%20Station%20Road,%20Marrowfield')
    expect(status).toBe(200)
    expect(body).toMatchObject({
      place: '12 Station Road, Marrowfield',
      altitude: 84,
      basicWindVelocity: 26,
      windZone: 'zone 2',
      snowZone: 'zone B',
    })
    expect(body.sectors).toHaveLength(8)
  })

  test('the profile runs west to east through the place, at its altitude in the middle', async () => {
    const { body } = await ask('east=45&north=29')
    const middle = body.profile[20]
    expect(middle).toMatchObject({ distance: 0 })
    expect(Math.round(middle?.elevation ?? NaN)).toBe(body.altitude)
    // on top of Harrow Fell it falls to both sides
    expect(body.profile[10]?.elevation).toBeLessThan(body.altitude)
    expect(body.profile[30]?.elevation).toBeLessThan(body.altitude)
  })

  test('on the coast the west is sea, inland it is not', () => {
    const west = (place: readonly [number, number]) => siteAt(place)?.sectors.find(({ from }) => from === 'W')?.terrain
    expect(west([6.5, 5])).toBe('0')
    expect(west([52, 36])).toBe('II')
  })

  test.each([
    ['east=2&north=20', /at sea or outside/],
    ['east=61&north=20', /at sea or outside/],
    ['address=London', /Known towns: Aldermouth, Saltmarsh End, Marrowfield/],
    ['address=%20', /Enter an address/],
    ['', /Enter an address/],
  ])('%s is refused with what is possible', async (query, sentence) => {
    const { status, body } = await ask(query)
    expect(status).toBe(404)
    expect(body.message).toMatch(sentence)
  })

  test.each([
    'east=abc&north=1',
    'east=-5&north=1',
    'east=1e9&north=1',
    'east=NaN&north=2',
    `address=${'x'.repeat(200)}`,
  ])('%s is no query', async (query) => {
    expect((await ask(query)).status).toBe(400)
  })

  test('every town lies on land, in one wind and one snow zone, and the sea is at nought', async () => {
    const { body } = await server.send<SiteRegion>('GET', '/api/site-data/region')
    for (const { east, north } of body.towns) expect(siteAt([east, north])).toBeDefined()
    expect(elevation([0, 20])).toBe(0)
    expect(body.windZones.map(({ value }) => value)).toEqual([28, 26, 24])
  })
})

test.each([
  'east=1e9&north=5',
  'east=-1&north=5',
  'east=&north=5',
  'east=0x10&north=5',
  'east=NaN&north=5',
  'east=5&north=1001',
])('%s is no place: refused with the range', async (query) => {
  expect(await server.send('GET', `/api/site-data?${query}`)).toMatchObject({
    status: 400,
    body: { message: expect.stringMatching(/is a distance in km, from 0 to 1000/) as string },
  })
})
