/** Our mark: the falling hand and one stroke. */
export function Mark({ size = 34 }: { size?: number }) {
  return (
    <svg width={size} height={size} viewBox="0 0 32 32" aria-hidden="true">
      <path d="M4 8c2 10 5 17 9 18 5 1 8-5 12-18" fill="none" stroke="#1f2a33" strokeWidth="3" strokeLinecap="round" />
      <path d="M19 17l4-12 3 2-4 12z" fill="#a87422" />
    </svg>
  )
}
