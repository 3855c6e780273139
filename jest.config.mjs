export default {
  // all cores: nothing else runs beside
  maxWorkers: '100%',
  // as generous as the browser tests: no test is about speed
  testTimeout: 180_000,
  roots: ['<rootDir>/src'],
  testMatch: ['**/*.test.ts'],
  extensionsToTreatAsEsm: ['.ts'],
  transform: { '^.+\\.ts$': ['@swc/jest', { jsc: { target: 'es2023', parser: { syntax: 'typescript' } } }] },
  // the packages that ship as ES modules only are loaded by Node itself
  transformIgnorePatterns: ['/node_modules/'],
}
