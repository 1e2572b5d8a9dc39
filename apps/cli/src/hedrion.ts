#!/usr/bin/env node
import { program } from './program'

// whoever reads may stop early (`| head`): that is no failure
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code !== 'EPIPE') throw error
  process.exit(0)
})
await program().parseAsync(process.argv)
