import usual from '../../jest.config.mjs'

const [[files, [, options]]] = Object.entries(usual.transform)

/** The unit tests of core and command line, which need no database, with a slip made in the core. */
export default {
  ...usual,
  rootDir: '../..',
  roots: ['<rootDir>/packages'],
  transform: { [files]: ['<rootDir>/scripts/mutants/transform.cjs', options] },
}
