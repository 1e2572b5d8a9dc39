import 'reflect-metadata'

export { ChangeSetBody, EditBody } from './changeSet'
export { CreateProjectBody, ProjectFileQuery, ProjectsQuery, RenameProjectBody, type ProjectSummary } from './project'
export { JobBody, jobKinds, type JobKind, type JobStatus } from './job'
export { formatHeader, outdated, projectKeyHeader } from './formatHeader'
export { limits } from './limits'
export {
  compassSectors,
  SiteDataQuery,
  type CompassSector,
  type SiteData,
  type SiteRegion,
  type SiteTerrain,
  type SiteZone,
} from './siteData'
export type { AcceptedChange, ApiProblem, ChangeAnswer, OpenProject } from './answers'
