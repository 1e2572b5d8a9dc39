import { Module } from '@nestjs/common'
import { ChangesController } from './changes.controller'
import { ChangesService } from './changes.service'
import { DocumentsService } from './documents.service'

@Module({
  controllers: [ChangesController],
  providers: [ChangesService, DocumentsService],
  exports: [ChangesService, DocumentsService],
})
export class ChangesModule {}
