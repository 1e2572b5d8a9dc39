import {
  demoChanges,
  derive,
  documentOf,
  Memo,
  recordsOf,
  withEdits,
  type Document,
  type Query,
  type Rec,
} from '@hedrion/core'
import { Answers } from './answers'
import { Calculator, ComputationFailed, Overtaken } from './calculator'
import { FakeThread } from './fakeThread'

const demo = documentOf(demoChanges.flatMap(({ edits }) => edits.flatMap(({ after }) => after ?? [])))
const overview = { kind: 'overview' } as const
const balance = { kind: 'balance', caseId: 'imposed/C' } as const

function calculator() {
  const threads: FakeThread[] = []
  const calc = new Calculator(() => {
    const thread = new FakeThread()
    threads.push(thread)
    return thread
  }, demo)
  const thread = (): FakeThread => {
    const last = threads.at(-1)
    if (!last) throw new Error('no thread')
    return last
  }
  return { calc, thread, threads }
}

const [key] = recordsOf(demo, 'loadKey')
if (!key) throw new Error('no key')
const changed = (record: Rec): Document =>
  withEdits(demo, [{ id: record.id, before: demo.records.get(record.id) ?? null, after: record }])
const heavier = changed({ ...key, name: 'Other', imposed: 9000 })
const settled = <T>(promise: Promise<T>) =>
  Promise.race([
    promise.then(
      () => 'settled',
      () => 'settled',
    ),
    new Promise((r) => setTimeout(() => r('open'), 20)),
  ])

describe('asking the worker', () => {
  test('it starts at the first question, with the document as it is then, and hears the difference later', async () => {
    const { calc, thread, threads } = calculator()
    calc.update(heavier)
    expect(threads).toHaveLength(0)
    const first = calc.ask(balance)
    expect(thread().received[0]).toMatchObject({
      kind: 'open',
      version: 2,
      records: expect.arrayContaining([expect.objectContaining({ name: 'Other' })]),
    })
    thread().work()
    expect(await first).toEqual(derive(new Memo(), heavier, balance))
    calc.update(demo)
    expect(thread().received.at(-1)).toMatchObject({
      kind: 'apply',
      version: 3,
      edits: [{ id: key.id, after: { name: key.name } }],
    })
    calc.update(demo)
    expect(calc.version).toBe(3)
  })

  test('an equal answer is not sent again, and is the very same object', async () => {
    const { calc, thread } = calculator()
    const first = calc.ask(balance)
    thread().work()
    const answer = await first
    calc.update(changed({ ...key, name: 'Another name' }))
    const second = calc.ask(balance)
    expect(thread().received.at(-1)).toMatchObject({ kind: 'query', held: 1 })
    thread().work()
    expect(await second).toBe(answer)
  })

  test('records that are gone are told', () => {
    const { calc, thread } = calculator()
    void calc.ask(balance)
    const without = documentOf([...demo.records.values()].filter(({ kind }) => kind !== 'wallRun'))
    calc.update(without)
    const last = thread().received.at(-1)
    expect(last?.kind === 'apply' && last.edits.every(({ after }) => after === null)).toBe(true)
    expect(last?.kind === 'apply' && last.edits).toHaveLength(3)
  })

  test('a later change overtakes a question: it is rejected as such, or asked until it is of the present', async () => {
    const { calc, thread } = calculator()
    const stale = calc.ask(balance)
    const lasting = calc.askUntilCurrent(balance)
    calc.update(heavier)
    const fresh = calc.ask(overview)
    thread().work()
    await fresh
    await expect(stale).rejects.toBeInstanceOf(Overtaken)
    await Promise.resolve()
    await new Promise((resolve) => setTimeout(resolve))
    thread().work()
    expect(await lasting).toEqual(derive(new Memo(), heavier, balance))
  })

  test('called off, it is not computed and never settles', async () => {
    const { calc, thread } = calculator()
    const stop = new AbortController()
    const asked = calc.ask(balance, { signal: stop.signal })
    stop.abort()
    expect(thread().received.at(-1)).toMatchObject({ kind: 'cancel' })
    thread().work()
    expect(await settled(asked)).toBe('open')
  })

  test('supposing edits answers for them and keeps nothing', async () => {
    const { calc, thread } = calculator()
    const supposed = calc.ask(balance, { supposing: [{ id: key.id, before: key, after: { ...key, imposed: 9000 } }] })
    const plain = calc.ask(balance)
    thread().work()
    expect((await supposed).applied).toBeGreaterThan((await plain).applied)
  })
})

describe('a worker that crashes', () => {
  test('is started again from the document, and what was open is asked once more', async () => {
    const { calc, thread, threads } = calculator()
    const asked = calc.ask(balance)
    thread().crash()
    expect(threads).toHaveLength(2)
    expect(threads[0]?.ended).toBe(true)
    expect(calc.restarts).toBe(1)
    thread().work()
    expect(await asked).toEqual(derive(new Memo(), demo, balance))
  })

  test('a question that crashes it twice fails in words; another one is answered', async () => {
    const { calc, thread } = calculator()
    const bad = calc.ask(balance)
    thread().crash()
    thread().crash()
    await expect(bad).rejects.toBeInstanceOf(ComputationFailed)
    const good = calc.ask(overview)
    thread().work()
    expect((await good).figures.cases).toBe(13)
  })

  test('a failure is said where the answer would stand, and the next change tries again', async () => {
    const { calc, thread } = calculator()
    const answers = new Answers(calc)
    let heard = 0
    const stop = answers.follow(balance, () => heard++)
    thread().fail('no room')
    await new Promise((resolve) => setTimeout(resolve))
    expect(answers.held(balance)).toMatchObject({ answer: undefined, failed: 'no room' })
    calc.update(heavier)
    answers.refresh()
    thread().work()
    await new Promise((resolve) => setTimeout(resolve))
    expect(answers.held(balance)).toMatchObject({ failed: null, answer: { caseId: 'imposed/C' } })
    expect(heard).toBe(2)
    stop()
  })
})

describe('answers that the screen follows', () => {
  test('the same query is asked once for all who look, and again after a change; an equal answer wakes nobody', async () => {
    const { calc, thread } = calculator()
    const answers = new Answers(calc)
    let heard = 0
    const query: Query = balance
    const stops = [answers.follow(query, () => heard++), answers.follow({ ...query }, () => heard++)]
    expect(thread().open).toBe(1)
    thread().work()
    await new Promise((resolve) => setTimeout(resolve))
    expect(heard).toBe(2)
    calc.update(changed({ ...key, name: 'Only a name' }))
    answers.refresh()
    thread().work()
    await new Promise((resolve) => setTimeout(resolve))
    expect(heard).toBe(2)
    for (const stop of stops) stop()
    answers.refresh()
    expect(thread().open).toBe(0)
    expect(answers.held(query).answer).toBeUndefined()
  })
})
