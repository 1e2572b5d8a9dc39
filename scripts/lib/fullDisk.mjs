/** Whether an error, or what a program said, is of a disk without space, or of a file that may not grow. */
export const isFull = (error) =>
  ['ENOSPC', 'EDQUOT', 'EFBIG'].includes(error?.code) ||
  /No space left on device|File too large|Disk quota exceeded|Check free disk space/i.test(
    String(error?.message ?? error),
  )

export const noSpace = (place) =>
  `There is no space left on the disk of ${place}: Hedrion needs some there to keep projects. Free some, or choose another folder with --data.`
