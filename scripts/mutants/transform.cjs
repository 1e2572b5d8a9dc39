// Jest's usual transform, after the one slip that HEDRION_MUTANT asks for.
const swcJest = require('@swc/jest')

const mutant = JSON.parse(process.env.HEDRION_MUTANT ?? 'null')

module.exports = {
  createTransformer: (options) => {
    const usual = swcJest.createTransformer(options)
    const mutated = (source, file) =>
      mutant && file === mutant.file ? source.replace(mutant.from, () => mutant.to) : source
    return {
      ...usual,
      process: (source, file, how) => usual.process(mutated(source, file), file, how),
      // what is kept of a file is told apart by its text, the slip in it
      getCacheKey: (source, file, how) => usual.getCacheKey(mutated(source, file), file, how),
    }
  },
}
