import { readFile, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { promisify } from 'node:util'
import { gzip } from 'node:zlib'
import subsetFont from 'subset-font'
import type { Plugin } from 'vite'

const SIGNS = '♭♮♯𝄫𝄪'
const SIGNS_FACE = /noto-(sans-symbols|music)/
const TEXT = /\.(js|css|svg)$/
const LEAST_BYTES = 1024

/** Of the faces with the music signs only those signs are shipped: 3 kB in place of 180. */
export function onlyTheSigns(): Plugin {
  return {
    name: 'gravik:only-the-signs',
    apply: 'build',
    async generateBundle(_, bundle) {
      for (const file of Object.values(bundle)) {
        if (file.type !== 'asset' || !SIGNS_FACE.test(file.fileName)) continue
        file.source = await subsetFont(Buffer.from(file.source), SIGNS, { targetFormat: 'woff2' })
      }
    },
  }
}

/** Beside every text a gzipped one lies ready, so that no answer waits for it to be packed. */
export function gzipped(): Plugin {
  return {
    name: 'gravik:gzipped',
    apply: 'build',
    async writeBundle({ dir = '' }, bundle) {
      await Promise.all(
        Object.keys(bundle)
          .filter((name) => TEXT.test(name))
          .map(async (name) => {
            const text = await readFile(join(dir, name))
            if (text.length >= LEAST_BYTES) await writeFile(join(dir, `${name}.gz`), await promisify(gzip)(text, { level: 9 }))
          }),
      )
    },
  }
}
