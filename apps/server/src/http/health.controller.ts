import { Controller, Get } from '@nestjs/common'
import { ApiOperation } from '@nestjs/swagger'
import { DataSource } from 'typeorm'
import { Problem } from './problem'

@Controller('health')
export class HealthController {
  constructor(private readonly database: DataSource) {}

  @Get()
  @ApiOperation({ summary: 'Whether the server and its database answer' })
  async health(): Promise<{ readonly status: 'ok' }> {
    try {
      await this.database.query('SELECT 1')
    } catch {
      throw new Problem(503, 'database.away', 'The database does not answer.')
    }
    return { status: 'ok' }
  }
}
