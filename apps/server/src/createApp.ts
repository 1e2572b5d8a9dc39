import { ValidationPipe } from '@nestjs/common'
import { NestFactory } from '@nestjs/core'
import type { NestExpressApplication } from '@nestjs/platform-express'
import { Logger } from 'nestjs-pino'
import { AppModule } from './app.module'
import { bodyLimits } from './http/bodyLimits'
import { BodyReader } from './http/bodyReader'
import { loopbackOnly } from './http/loopbackOnly'
import { openApi } from './http/openApi'
import { ProblemFilter } from './http/problem.filter'
import { securityHeaders } from './http/securityHeaders'
import { validationProblem } from './http/validationProblem'
import { webPages } from './http/webPages'

export async function createApp(): Promise<NestExpressApplication> {
  const app = await NestFactory.create<NestExpressApplication>(AppModule, {
    bufferLogs: true,
    bodyParser: false,
    abortOnError: false,
  })
  app.useLogger(app.get(Logger))
  app.use(securityHeaders())
  app.use(loopbackOnly)
  const bodies = new BodyReader(process.env['HEDRION_BODY_WORKER'])
  app.use('/api', bodyLimits(bodies))
  app.getHttpServer().on('close', () => void bodies.close())
  const webFolder = process.env['WEB_DIST']
  if (webFolder) app.use(webPages(webFolder))
  app.useGlobalFilters(new ProblemFilter())
  app.useGlobalPipes(
    new ValidationPipe({
      whitelist: true,
      forbidNonWhitelisted: true,
      transform: true,
      exceptionFactory: validationProblem,
    }),
  )
  openApi(app)
  app.enableShutdownHooks()
  return app
}
