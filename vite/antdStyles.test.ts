// @vitest-environment node
import * as antd from 'antd'
import { expect, it } from 'vitest'
import { antdStyles, USED } from './antdStyles'

const sources = import.meta.glob<string>('../resources/js/**/*.{ts,tsx}', { query: '?raw', import: 'default', eager: true })
const taken = Object.values(sources)
  .flatMap((source) => [...source.matchAll(/import \{([^}]*)\} from 'antd'/g)])
  .flatMap(([, names = '']) => names.split(','))
  .map((name) => name.trim().split(' as ')[0] ?? '')
  .filter((name) => name in antd && name !== 'ConfigProvider')

it('has the styles of every component that the app takes from Ant Design', () => {
  expect(taken.length).toBeGreaterThan(50)
  expect([...new Set(taken)].filter((name) => !(USED as readonly string[]).includes(name))).toEqual([])
})

it.each([
  '.ant-btn{',
  '.ant-select-dropdown{',
  '.ant-modal{',
  '.ant-message',
  '.ant-input-number{',
  '.ant-app{',
  '.ant-space-addon{',
  '.ant-space-compact{',
  '.ant-popover{',
  '.ant-tooltip{',
  '.anticon{',
  '.gravik',
])('writes %s', (start) => {
  expect(antdStyles()).toContain(start)
})

it('writes them in our colours', () => {
  expect(antdStyles()).toContain('--ant-color-primary:#1f2a33')
})
