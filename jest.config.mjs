// ESM-only packages that Jest must rewrite to CommonJS
const esm = [
  'fast-check',
  'pure-rand',
  'clipper2-ts',
  'flatbush',
  'flatqueue',
  'd3-dsv',
  'd3-polygon',
  'earcut',
  'delaunator',
  'robust-predicates',
  'three',
]
const swc = {
  jsc: {
    target: 'es2022',
    parser: { syntax: 'typescript', tsx: true, decorators: true },
    transform: {
      legacyDecorator: true,
      decoratorMetadata: true,
      useDefineForClassFields: false,
      react: { runtime: 'automatic' },
    },
    keepClassNames: true,
  },
  module: { type: 'commonjs' },
  sourceMaps: 'inline',
  swcrc: false,
}
export default {
  testEnvironment: 'node',
  roots: ['<rootDir>/packages', '<rootDir>/apps'],
  testMatch: ['**/{src,test}/**/*.test.ts?(x)'],
  transform: { '^.+\\.(t|j|mj)sx?$': ['@swc/jest', swc] },
  transformIgnorePatterns: [`/node_modules/(?!(${esm.join('|')})/)`],
  moduleNameMapper: { '^three$': '<rootDir>/node_modules/three/build/three.module.js' },
  modulePathIgnorePatterns: ['/dist/', '/.cache/'],
  watchman: false,
  // both processors of a small machine: tests share nothing, those of the server have a database each
  maxWorkers: '100%',
  // no test measures time, and a machine that is busy with others is slow
  testTimeout: 60_000,
}
