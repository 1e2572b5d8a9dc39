import type { FormatStep } from './formatStep'
import { lineEndsAndHatches } from './lineEndsAndHatches'
import { stagesAndTables } from './stagesAndTables'

/** All steps there ever were, oldest first. None is taken out or changed once a build with it was in use. */
export const formatSteps: readonly FormatStep[] = [lineEndsAndHatches, stagesAndTables]
