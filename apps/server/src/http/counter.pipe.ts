import type { PipeTransform } from '@nestjs/common'
import { limits } from '@hedrion/contract'
import { Problem } from './problem'

/** A counter of change sets in an address. */
export class CounterPipe implements PipeTransform<string | undefined, number> {
  transform(value: string | undefined): number {
    const counter = /^\d{1,10}$/.test(value ?? '') ? Number(value) : NaN
    if (counter <= limits.counter) return counter
    throw new Problem(400, 'request.invalid', `The counter must be an integer from 0 to ${limits.counter}.`, {
      path: 'after',
    })
  }
}
