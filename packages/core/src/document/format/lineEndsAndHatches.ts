import type { FormatStep } from './formatStep'

/** A line load may have another value at its end; a load key keeps its hatch and its code. Both were derived before: none is stated. */
export const lineEndsAndHatches: FormatStep = {
  to: 2,
  migrate: (record) => {
    if (record.kind === 'lineLoad') return [{ ...record, endValue: record['endValue'] ?? null }]
    if (record.kind === 'loadKey') return [{ ...record, hatch: record['hatch'] ?? null, code: record['code'] ?? '' }]
    return [record]
  },
}
