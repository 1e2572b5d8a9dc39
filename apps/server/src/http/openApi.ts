import type { INestApplication } from '@nestjs/common'
import { DocumentBuilder, SwaggerModule } from '@nestjs/swagger'

/** The page is made when it is first asked for: nobody waits for it at the start. */
export function openApi(app: INestApplication): void {
  const about = new DocumentBuilder()
    .setTitle('Hedrion')
    .setDescription(
      'Projects, change sets, project files and jobs. Bodies are JSON; refusals have a code and a sentence.',
    )
    .build()
  SwaggerModule.setup('api/docs', app, () => SwaggerModule.createDocument(app, about), {
    jsonDocumentUrl: 'api/openapi.json',
  })
}
