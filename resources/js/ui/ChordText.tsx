/** A chord symbol with its root large and the rest small, as it stands on a chart. */
export function ChordText({ root, ending, size = 26 }: { root: string; ending: string; size?: number }) {
  return (
    <span className="chord-text" style={{ fontSize: size }}>
      {root}
      <small>{ending}</small>
    </span>
  )
}

/** Splits a symbol the core printed into its root and the rest. */
export function splitSymbol(symbol: string): { root: string; ending: string } {
  const root = /^[A-G][♭♯𝄫𝄪]?/u.exec(symbol)?.[0] ?? symbol
  return { root, ending: symbol.slice(root.length) }
}
