import { readFile } from 'node:fs/promises'
import subsetFont from 'subset-font'
import type { Plugin } from 'vite'

const LETTERS = Array.from({ length: 95 }, (_, index) => String.fromCharCode(32 + index)).join('') + '×·½–—…“”‘’°øØåäöüéèñçæÅÄÖÜÆß′→←•'
const SIGNS = '♭♯♮'
const FACES = [
  { file: 'hand-400.woff2', from: '@fontsource/familjen-grotesk/files/familjen-grotesk-latin-400-normal.woff2', signs: LETTERS, weight: undefined },
  { file: 'hand-700.woff2', from: '@fontsource/familjen-grotesk/files/familjen-grotesk-latin-700-normal.woff2', signs: LETTERS, weight: undefined },
  {
    file: 'signs.woff2',
    from: '@fontsource-variable/noto-sans-symbols/files/noto-sans-symbols-symbols-wght-normal.woff2',
    signs: SIGNS,
    weight: 700,
  },
]

/** Static faces for the handout, which carries them within itself: variable ones would stand as drawings in a PDF. */
export function handoutFonts(): Plugin {
  return {
    name: 'gravik:handout-fonts',
    apply: 'build',
    async generateBundle() {
      for (const { file, from, signs, weight } of FACES) {
        const source = await subsetFont(await readFile(`node_modules/${from}`), signs, {
          targetFormat: 'woff2',
          ...(weight === undefined ? {} : { variationAxes: { wght: weight } }),
        })
        this.emitFile({ type: 'asset', fileName: `handout/${file}`, source })
      }
    },
  }
}
