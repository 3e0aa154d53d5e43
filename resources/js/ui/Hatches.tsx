/** The hatches that drawings fill with, once for the whole page: chucks in oxide, air in the rule's colour. */
export function Hatches() {
  return (
    <svg width={0} height={0} className="hatches" aria-hidden="true">
      <pattern id="chuck-hatch" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
        <rect width="5" height="5" fill="#fcfaf4" />
        <rect width="2.4" height="5" fill="#a8452c" />
      </pattern>
      <pattern id="air-hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="7" height="7" fill="#fcfaf4" />
        <rect width="1" height="7" fill="#cfc5b1" />
      </pattern>
    </svg>
  )
}
