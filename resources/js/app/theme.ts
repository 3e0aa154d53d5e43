import type { ThemeConfig } from 'antd'

const FONT = "'Music Signs', 'Familjen Grotesk Variable', ui-sans-serif, system-ui, sans-serif"

/** Our own look through Ant Design's tokens: paper and ink, hairlines, no shadows. The same colours stand in gravik.css. */
export const theme: ThemeConfig = {
  // The styles are written when the app is built (vite/antdStyles.ts); so their names may not change from run to run.
  zeroRuntime: true,
  hashed: false,
  cssVar: { key: 'gravik' },
  token: {
    colorPrimary: '#1f2a33',
    colorInfo: '#1f2a33',
    colorSuccess: '#226656',
    colorError: '#98391f',
    colorWarning: '#7a5310',
    colorText: '#1f2a33',
    colorTextSecondary: '#46525b',
    colorTextPlaceholder: '#5c666d',
    colorTextDescription: '#5c666d',
    colorBgBase: '#f5f1e8',
    colorBgContainer: '#fcfaf4',
    colorBgElevated: '#fcfaf4',
    colorBorder: '#8b8270',
    colorBorderSecondary: '#cfc5b1',
    colorLink: '#7a5310',
    borderRadius: 2,
    borderRadiusLG: 2,
    borderRadiusSM: 2,
    boxShadow: 'none',
    boxShadowSecondary: '0 0 0 1px #1f2a33',
    boxShadowTertiary: 'none',
    controlHeight: 32,
    controlOutline: '#a87422',
    controlOutlineWidth: 2,
    fontFamily: FONT,
    fontSize: 13,
    wireframe: true,
    motion: false,
  },
  components: {
    Button: { fontWeight: 600, primaryShadow: 'none', defaultShadow: 'none', dangerShadow: 'none' },
    Select: { optionSelectedBg: '#e9e2d3' },
    Segmented: { itemSelectedBg: '#1f2a33', itemSelectedColor: '#f5f1e8', trackBg: '#e9e2d3' },
    Modal: { titleFontSize: 18 },
  },
}
