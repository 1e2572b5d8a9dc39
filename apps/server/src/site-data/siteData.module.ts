import { Module } from '@nestjs/common'
import { SiteDataController } from './siteData.controller'
import { SimulatedSiteData, SiteDataSource } from './siteDataSource'

@Module({
  controllers: [SiteDataController],
  providers: [{ provide: SiteDataSource, useClass: SimulatedSiteData }],
})
export class SiteDataModule {}
