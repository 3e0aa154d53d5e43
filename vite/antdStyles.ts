import { createCache, extractStyle, StyleProvider } from '@ant-design/cssinjs'
import * as antd from 'antd'
import { createElement, type ComponentType, type ReactElement } from 'react'
import { renderToString } from 'react-dom/server'
import type { Plugin } from 'vite'
import { theme } from '../resources/js/app/theme.ts'

const ASKED = 'virtual:antd.css'

/** What the app takes from Ant Design; types and ConfigProvider write no style. */
export const USED = [
  'App',
  'Button',
  'Checkbox',
  'Input',
  'InputNumber',
  'Modal',
  'Popconfirm',
  'Popover',
  'QRCode',
  'Segmented',
  'Select',
  'Slider',
  'Switch',
  'message',
  'notification',
] as const

/**
 * The styles of those components under our theme, as a style sheet. Left to itself the library makes them in the browser,
 * each at the first sight of its component: on a slow machine that is a third of the time until the bench stands.
 */
export function antdStyles(): string {
  const cache = createCache()
  const parts = [
    ...USED.map(sample),
    createElement(antd.Input.TextArea, { key: 'area' }),
    createElement(antd.Input.Password, { key: 'password' }),
    withAddon,
  ]
  const ours = { ...theme, zeroRuntime: false }
  renderToString(createElement(StyleProvider, { cache }, createElement(antd.ConfigProvider, { theme: ours }, ...parts)))
  return extractStyle(cache, { plain: true })
}

/** A number with its unit beside it is put together from two more components. */
const withAddon = createElement(antd.InputNumber, { key: 'addon', addonAfter: 'bpm' })

/** What opens above the page (a sheet, a message) has a panel that can be drawn in place. */
function sample(name: (typeof USED)[number]): ReactElement {
  const part = antd[name] as unknown as { _InternalPanelDoNotUseOrYouWillBeFired?: ComponentType }
  // Without something to say it draws nothing.
  if (name === 'QRCode') return createElement(antd.QRCode, { key: name, value: '.' })
  const opens = ['Modal', 'Popconfirm', 'Popover', 'message', 'notification'].includes(name)
  return createElement((opens ? part._InternalPanelDoNotUseOrYouWillBeFired : part) as ComponentType, { key: name })
}

/** `import 'virtual:antd.css'`. */
export function antdCss(): Plugin {
  return { name: 'gravik:antd-css', resolveId: (id) => (id === ASKED ? ASKED : null), load: (id) => (id === ASKED ? antdStyles() : null) }
}
