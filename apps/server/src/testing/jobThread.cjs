// A job for tests: the name of the project says what it does.
const { parentPort, workerData } = require('node:worker_threads')
const { gzipSync } = require('node:zlib')

const records = Object.values(JSON.parse(workerData.file).records)
const [what, amount] = records.find(({ kind }) => kind === 'basis').name.split(' ')
parentPort.postMessage({ done: 3 })
if (what === 'broken') throw new Error('broken')
// the tests run with a flag that lifts the limit of threads: said as Node says it
if (what === 'hungry') throw Object.assign(new Error('full'), { code: 'ERR_WORKER_OUT_OF_MEMORY' })
if (what === 'sleep')
  setTimeout(() => parentPort.postMessage({ result: gzipSync(JSON.stringify(workerData.kind)) }), Number(amount))
