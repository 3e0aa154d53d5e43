import type { RefObject } from 'react'

/** A file field that nobody sees: a button or a key opens it. The same file may be picked twice in a row. */
export function FilePicker({
  field,
  label,
  accept,
  onFile,
}: {
  field: RefObject<HTMLInputElement | null>
  label: string
  accept: string
  onFile: (file: File) => void
}) {
  return (
    <input
      ref={field}
      type="file"
      hidden
      aria-label={label}
      accept={accept}
      onChange={(event) => {
        const file = event.target.files?.[0]
        event.target.value = ''
        if (file !== undefined) onFile(file)
      }}
    />
  )
}
