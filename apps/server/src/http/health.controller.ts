import { Controller, Get } from '@nestjs/common'
import { ApiOperation } from '@nestjs/swagger'
import { DataSource } from 'typeorm'
import { withinTime } from '../withinTime'
import { Problem } from './problem'

/** Whoever asks wants to know it now, not when the database has been given up. */
const longest = 2000

@Controller('health')
export class HealthController {
  #asked: Promise<unknown> | undefined

  constructor(private readonly database: DataSource) {}

  @Get()
  @ApiOperation({ summary: 'Whether the server and its database respond' })
  async health(): Promise<{ readonly status: 'ok' }> {
    // one question at a time, however many ask: a frozen database would take a connection for each
    this.#asked ??= this.database.query('SELECT 1').finally(() => (this.#asked = undefined))
    const late = () => new Problem(503, 'database.away', 'The database is not responding.')
    await withinTime(this.#asked, longest, late)
    return { status: 'ok' }
  }
}
