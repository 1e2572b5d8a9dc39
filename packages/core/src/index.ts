export type { Concern, Outcome } from './outcome/outcome'
export { assert, present, unreachable } from './outcome/assert'
export { largest, pushAll, smallest } from './outcome/lists'
export { capitalized, uncapitalized } from './outcome/letters'
export { inWordsOf, type Vocabulary } from './outcome/vocabulary'
export { own } from './outcome/own'
export { displayFactor, displayUnits, type Quantity, type UnitSystem } from './units/quantity'
export { formatNumber, formatQuantity, formatValue, metricPoint, unitOf, type NumberFormat } from './units/format'
export { parseQuantity, type ParsedQuantity } from './units/parseQuantity'
export type { Amount, Basis as TraceBasis, Traced, TracedTerm } from './trace/traced'
export type { Table } from './trace/table'
export { arcPath, mostRise, riseOf } from './geometry/arc'
export { legsOf, lengthAlong, middleAlong, type Leg } from './geometry/course'
export type { Point, Point3 } from './geometry/point'
export {
  boxOf,
  contains,
  crossesItself,
  centroid,
  meanOf,
  signedArea,
  type Box,
  type Region,
  type Ring,
} from './geometry/polygon'
export { along, distance, project } from './geometry/segment'
export { onLine, sliverArea } from './geometry/tolerance'
export type { Problem } from './document/fields'
export {
  isKind,
  kinds,
  recordKinds,
  type Basis,
  type BuildingPart,
  type BuildUp,
  type GridLine,
  type Id,
  type Kind,
  type Layer,
  type Layout,
  type Level,
  type LineLoad,
  type LevelRange,
  type ConstructionStage,
  type LoadKey,
  type Material,
  type Member,
  type Opening,
  type Panel,
  type Patch,
  type PointLoad,
  type AreaLoad,
  type ReductionRegion,
  type Stair,
  type Barrier,
  type StiffElement,
  type StoreyForces,
  type ReductionTable,
  type Rec,
  type RecOf,
  type Section,
  type Selection,
  type Slope,
  type Strut,
  type WallRun,
  type WallSurface,
} from './document/recordKinds'
export { readRecord } from './document/readRecord'
export { doubtsOf } from './concerns/ownTables'
export { hatches, type Hatch } from './document/loadKeyKind'
export { givenHatch } from './editing/keyHatches'
export { migrateEdits, type RawEdit } from './document/format/migrate'
export { openRecords, storedAs, type Opened, type SetAside, type Stored } from './document/format/openRecords'
export { changedResults, changedSince, resultsEdition, type ChangedResult } from './document/changedResults'
export {
  documentOf,
  emptyDocument,
  find,
  formatName,
  formatVersion,
  newId,
  recordsOf,
  seededRandom,
  type Document,
  type Random,
} from './document/document'
export { expanded, labelOf, recordIdOf, splitExpanded, splitStretch } from './document/labels'
export {
  applyChange,
  foldedEdits,
  inverse,
  longestNote,
  sameRecord,
  withEdits,
  type Applied,
  type ChangeSet,
  type Conflict,
  type Edit,
} from './document/changes'
export { numberField, type NumberField } from './document/numberField'
export { stageKindNames, stageKinds, type StageKind } from './actions/keyLoads'
export { blankBasis, blankLoadKey, blankStage, newLayout } from './document/blanks'
export { canonical } from './document/canonical'
export { cut } from './document/cut'
export { invariantProblems, referencesOf } from './document/invariants'
export {
  fileLimits,
  projectJson,
  projectSchema,
  readProject,
  readProjectFile,
  writeProjectFile,
  type ReadDocument,
} from './exchange/projectFile'
export { shapeProblem } from './exchange/jsonShape'
export type { JsonLimits } from './exchange/jsonText'
export { layerFileLimits, readLayerFile, templateSet, writeLayerFile } from './exchange/layerFile'
export { layerTableLimits, readLayerTable, type ReadLayers } from './exchange/layerTable'
export { readWallTable, wallTableLimits } from './exchange/wallTable'
export { loadTableLimits, readLoadTable } from './exchange/loadTable'
export { memberTableLimits, readMemberTable, type ReadMembers } from './exchange/memberTable'
export type { TableProblem } from './exchange/tableRows'
export { csvFiles, type CsvFile } from './exchange/csv'
export { resultStages, type ResultStage } from './exchange/results'
export { resultsSchema } from './exchange/resultsSchema'
export { barrierKey, concentratedKey, perMetreKey, uniformKey, upToKey, titleOfUse } from './standards/family'
export { embedded, families, familyOf, shippedSets, standardOf, termsOf, type Terms } from './standards/families'
export type {
  ActionId,
  Exclusion,
  Family,
  FamilyId,
  LoadGroup,
  ParameterMeaning,
  PartitionRule,
  RuleSet,
  Use,
} from './standards/family'
export { placeExampleWords, stockExamples, typedExample } from './editing/examples'
export { tableExamples, type TableExamples } from './exchange/tableExamples'
export { stockMaterials, type StockMaterial } from './standards/stock/materials'
export { stockSections } from './standards/stock/sections'
export { areaWeights, sourceOf, unitWeights } from './standards/stock/unitWeights'
export type { TabledWeight } from './standards/stock/weights/row'
export type { ResolvedValue, StandardLayer } from './standards/layer'
export type { SourceTable } from './standards/sourceTable'
export { stepsOfWork, type Mend, type StepOfWork } from './concerns/definition'
export { concernSentence, definitions, mendsOf, severityOf, stepOfConcern } from './concerns/definitions'
export { countOf } from './concerns/concernsOf'
export { reductionReason } from './wording/reductionReason'
export { candidateText, saysOnDrawing } from './wording/candidateText'
export { sharingChoices, sharingNames } from './wording/sharingNames'
export { sourceNames } from './wording/sourceNames'
export { kindNames } from './wording/kindNames'
export { sourceSays } from './wording/sourceSays'
export { caseThatHolds, casesOf } from './wording/formulaCases'
export { greekLetters, productText, referenceText, traceLines, typeset, withNumbers } from './wording/traceText'
export { Memo } from './derivation/memo'
export { deriveProject, type ProjectState } from './derivation/project'
export type { Balance } from './derivation/balance'
export { leastFloor } from './derivation/supportedLevels'
export { effectKinds, type EffectKind } from './derivation/effects'
export { ask, derive, type Answer, type Query } from './queries/derive'
export {
  formatOf,
  type ActionView,
  type CaseView,
  type LevelView,
  type Overview,
  type WordedConcern,
} from './queries/overview'
export type { ReductionRegionView, SlabReductionView } from './queries/slabReductionViews'
export type { AreaLoadView, TypedLoadView } from './queries/typedLoadViews'
export type { CandidateView } from './queries/candidateViews'
export type { LevelsPicture, PartsPicture } from './queries/sourcePicture'
export type {
  BeamView,
  ColumnView as ColumnOnPlan,
  FloorView,
  OpeningView,
  RegionView,
  WallView,
  SlopeView,
  StrutView,
  StairView,
  BarrierView,
  SurfaceOnPlan,
  StiffView,
} from './queries/floorView'
export type { MemberView, SupportView } from './queries/memberView'
export type { ColumnView, StripRow } from './queries/columnView'
export type { PanelView } from './queries/panelView'
export type { ComparedRules } from './queries/compareRules'
export type { SharingRule } from './sharing/sharer'
export type { PathRow } from './queries/pathRows'
export type { ElevationAxis, ElevationLoad, ElevationView } from './queries/elevationView'
export type { SpaceFace, SpaceLoad, SpaceMember, SpaceView } from './queries/spaceView'
export type { StripPieceView, StripView } from './queries/stripView'
export type { ReductionView } from './derivation/reductions'
export type { SpaceSurface } from './queries/surfacesInSpace'
export type { EnvelopeRow, GoverningRival, GoverningSide, GoverningTerm, GoverningView } from './queries/envelopeViews'
export type { ElementView, LateralView, StoreyView } from './queries/lateralView'
export type { KeyLoads } from './actions/keyLoads'
export type { KeySum } from './queries/keySums'
export type { SlabUnderKey } from './queries/keySlabs'
export type { MassRow } from './queries/massViews'
export type { WindProfile } from './queries/windProfile'
export { listLimit, type RuleView } from './queries/ruleViews'
export type { WindLoads, WindResult } from './actions/wind/windLoads'
export { atEnd, weightOfFlight } from './actions/stairLoad'
export { goingOf, stepsOf } from './building/stairs'
export { gridCrossings } from './building/grid'
export { patchOverlaps, type PatchOverlap } from './building/patchOverlaps'
export { lineMore, readFreeGrid, readSpacings, type ReadGrid } from './editing/gridText'
export { gridMoveEdits } from './editing/gridMove'
export { buildUpWeight, timesFactor } from './actions/ownWeight'
export { isTypedLoad, typedValue, valueAt, type TypedLoad } from './actions/typedLoads'
export {
  barrierCase,
  buildUps,
  hasStoreyForces,
  isHorizontal,
  isLateral,
  lateralCase,
  selfWeight,
  windDirectionOf,
  windDirections,
} from './actions/cases'
export { atBends, type LoadLine, type LoadPoint } from './rundown/memberLines'
export type { RuleId } from './combinations/ruleSets'
export { earthquakeRuleOf } from './standards/earthquakeRules'
export { enPressureRule, pressureRuleOf } from './standards/pressureRules'
export { withPanelsFollowing } from './editing/followRings'
export { panelsInRings } from './editing/panelsInRings'
export { cutAt, withoutStretch } from './editing/wallPieces'
export { pointsText, withPointsText } from './editing/pointsText'
export { freeSides, withOverhangs, type FreeSide } from './editing/slabEdge'
export { shownAsCsv, shownAsTabbed } from './exchange/tables'
export { barriersAlong, drawRecord, leastPoints, tools, withArticle, type Tool } from './editing/drawn'
export { isSpaceTool, strutBetween, type SpaceTool } from './editing/drawnStruts'
export { drawUpright, drawsUpright, type UprightPlane } from './editing/drawnUpright'
export { readSpacePlaces, type SpaceNames } from './editing/spacePlaceText'
export type { Made } from './editing/made'
export { readUprightPlaces, type UprightNames } from './editing/uprightPlaceText'
export { lengthsExample, lengthsText, readLengths } from './editing/lengthsText'
export {
  addLevelEdits,
  elevationEdits,
  layoutOfLevelEdits,
  levelAtEdits,
  removeLevelEdits,
  storeyHeightEdits,
  storeyHeights,
  storeyHeightsEdits,
} from './editing/levels'
export {
  familyEdits,
  layerInUse,
  meantOtherwise,
  nationalSetEdits,
  ownLayerName,
  ownValueEdits,
  setsOnOffer,
} from './editing/ownLayer'
export { followable, followAgainEdits, ownLayoutEdits, ownReaches, type OwnReach } from './editing/ownLayout'
export { withTyped, type TypedText } from './editing/typedText'
export { deletionEdits, wallOfLayersEdits, wallTypedEdits } from './editing/wallMake'
export { memberLabelsText, readMemberLabels } from './editing/memberLabels'
export { gridPoint, moveOf, readPlaces, readShiftText, shiftText, type PlacedAs } from './editing/placeText'
export { reachedBy } from './editing/reach'
export { readRepeat, type Repeat } from './editing/repeatText'
export { readSection, type ReadSection } from './editing/sectionText'
export { scopesOf, type Scope } from './editing/scopes'
export {
  drawnOf,
  labeller,
  isDrawn,
  moved,
  pointsOf,
  repeatEdits,
  stillThere,
  withPoints,
  type Drawn,
} from './editing/shaped'
export { releaseEdits } from './editing/releases'
export { changePictures, type ChangePicture } from './editing/changePictures'
export { demoChanges, demoName } from './generate/demo'
export { bayGrid } from './generate/bayGrid'
export { hallSentence } from './generate/hallSentence'
export { joistsOn, readJoists } from './generate/joists'
export { blankStartEdits, type BlankStart } from './generate/blankBuilding'
export { buildingEdits, readNewBuilding, type NewBuilding } from './generate/newBuilding'
export { openingSentence, readOpeningSentence, type BuildingBrief } from './generate/openingSentence'
export { areaStretch, heightOn } from './building/slopes'
export { trussLengths, trussParts } from './building/truss'
export { isUpright } from './document/roles'
export { trussShape } from './document/shapes'
export { movedAside, onSlabEdge, pathsAlong, pathsRound, type WallPath } from './editing/wallPaths'
export { usualWall } from './editing/usual'
export { asksByValue } from './queries/byValue'
export { best, fitting, indexed, type FindEntry, type Fit, type Found } from './queries/find'
export { dxfLimits, readDxf, type ReadDxf, type DxfLayer, type DxfPlan } from './exchange/dxfPlan'
export { importedPlan, proposedUse, layerUses, type LayerUse } from './exchange/planImport'
export { openingsText, readOpenings } from './editing/openingText'
export { readSurfaceOpenings, surfaceOpeningsText } from './editing/surfaceOpeningText'
export type { RestView, StretchView, SurfaceView } from './queries/surfaceView'
export { openingsArea, takesOff } from './actions/wallLoad'
