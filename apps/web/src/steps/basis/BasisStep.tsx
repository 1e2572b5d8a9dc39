import { StepLayout } from '../../sheet/StepLayout'
import { BasisPicture } from './BasisPicture'
import { BasisSheet } from './BasisSheet'

/** The standard with its layers, the site, and the peak velocity pressure that follows. */
export const BasisStep = () => <StepLayout name="Basis" drawing={<BasisPicture />} sheet={<BasisSheet />} />
