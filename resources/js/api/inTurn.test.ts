import { expect, it } from 'vitest'
import { inTurn } from './inTurn'

it('keeps one request of a kind under way and lets the newest win', async () => {
  const sent: number[] = []
  const finish: (() => void)[] = []
  const send = (number: number) => () => {
    sent.push(number)
    return new Promise<number>((resolve) => finish.push(() => resolve(number)))
  }
  const dragged = [0, 1, 2, 3].map((number) => {
    const control = new AbortController()
    const answer = inTurn('timeline', control.signal, send(number)).catch((problem: unknown) => (problem as Error).name)
    return { control, answer }
  })
  const other = inTurn('chart', new AbortController().signal, send(9))
  dragged.slice(1, 3).forEach(({ control }) => control.abort())
  expect(sent).toEqual([0, 9])
  finish.forEach((done) => done())
  await dragged[0]?.answer
  await other
  await Promise.all(dragged.slice(1, 3).map(({ answer }) => answer))
  expect(sent).toEqual([0, 9, 3])
  finish.at(-1)?.()
  expect(await Promise.all(dragged.map(({ answer }) => answer))).toEqual([0, 'AbortError', 'AbortError', 3])
})

it('goes on after one that failed', async () => {
  const signal = new AbortController().signal
  await expect(inTurn('path', signal, () => Promise.reject(new Error('away')))).rejects.toThrow('away')
  await expect(inTurn('path', signal, async () => 'here')).resolves.toBe('here')
})
