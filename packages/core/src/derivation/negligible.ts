/** A newton is nothing to a building: what is smaller is rounding. */
export const negligible = 1
