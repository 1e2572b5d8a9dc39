import { define } from '../definition'

/** Wind. */
export const ofWind = {
  'wind.without-terrain': define({
    severity: 'caution',
    step: 'basis',
    data: { terrain: 'text', altitude: 'length' },
    sentence: ({ terrain, altitude }) =>
      `The peak velocity pressure is for mixed terrain inland (DIN EN 1991-1-4/NA, NA.B.3.3); terrain ${terrain} and the altitude of ${altitude} are not included. Near the coast, in terrain I or above 800 m it may be too low: check it.`,
  }),
  'wind.roof-underived': define({
    severity: 'caution',
    step: 'actions',
    data: {},
    sentence: () =>
      'Wind on the roof is not derived in this version, so all wind cases are without roof suction and pressure. Check roofs separately.',
  }),
  'wind.family-underived': define({
    severity: 'caution',
    step: 'actions',
    data: { family: 'text' },
    sentence: ({ family }) =>
      `Wind loads are not derived to ${family} in this version, so no case contains wind although a velocity is entered. Enter the pressures in Actions.`,
  }),
  'wind.velocity-of-another-kind': define({
    severity: 'caution',
    step: 'basis',
    data: { velocity: 'velocity', family: 'text', wanted: 'text' },
    sentence: ({ velocity, family, wanted }) =>
      `${velocity} is a 10-minute mean from the site service, but ${family} uses another velocity: ${wanted}. Enter that velocity.`,
  }),
  'wind.structural-factor': define({
    severity: 'caution',
    step: 'actions',
    data: { height: 'length' },
    sentence: ({ height }) =>
      `The building is ${height} high, but c_s c_d = 1 is allowed below 15 m only (EN 1991-1-4, 6.2(1)). Derive c_s c_d and enter it.`,
  }),
  'wind.too-high': define({
    severity: 'blocking',
    step: 'actions',
    data: { height: 'length', limit: 'length' },
    sentence: ({ height, limit }) =>
      `The building is ${height} high, above the ${limit} limit of the wind profile (EN 1991-1-4, 4.3.2(1)). Enter the pressures in Actions.`,
  }),
  'wind.too-slender': define({
    severity: 'blocking',
    step: 'actions',
    data: { symbol: 'text', at: 'number', from: 'text', direction: 'text', to: 'text', clause: 'text' },
    sentence: ({ direction, to, clause }, { at }) =>
      `h/d = ${Number(at).toFixed(2)} for ${direction} is above ${to}, the limit of ${clause}, so this direction is not derived. Enter its pressures in Actions.`,
  }),
  'wind.slopes': define({
    severity: 'caution',
    step: 'actions',
    data: { labels: 'text', ridge: 'length' },
    sentence: ({ labels, ridge }) =>
      `Roof ${labels} rises to ${ridge}, but wind covers walls and the reference height only up to its level, without gables and ridge. Raise the parapet to the ridge for a conservative value.`,
  }),
}
