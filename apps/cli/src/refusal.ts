/** A file or an argument that cannot be used: said in one message, exit code 2. */
export class Refusal extends Error {}

/** Runs a command; what the user can mend is one message, anything else is a bug and is thrown. */
export const guarded =
  <A extends readonly unknown[]>(command: (...args: A) => void) =>
  (...args: A): void => {
    try {
      command(...args)
    } catch (error) {
      if (!(error instanceof Refusal)) throw error
      process.stderr.write(`${error.message}\n`)
      process.exitCode = 2
    }
  }

export const print = (text: string): void => void process.stdout.write(`${text}\n`)
