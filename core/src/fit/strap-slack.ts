/**
 * Extra strap length for one round point of height `heightMm` under a strap on a circle of radius `radiusMm`.
 * delta = 2 (sqrt(2 R t + t^2) - R arccos(R / (R + t))). Source: derived geometry, facts 9b.
 */
export function thinPointSlackMm(radiusMm: number, heightMm: number): number {
  const angle = Math.acos(radiusMm / (radiusMm + heightMm))
  return 2 * (Math.sqrt(2 * radiusMm * heightMm + heightMm ** 2) - radiusMm * angle)
}

/**
 * Extra strap length that a flat gauge (fingers lying flat) makes on a round trunk.
 *
 * rho = sqrt((R + t)^2 + (w / 2)^2), phi = arctan((w / 2) / (R + t)), alpha = arccos(R / rho);
 * delta = w + 2 sqrt(rho^2 - R^2) - 2 R (phi + alpha). Valid for w < 2 R. Flesh and coat give, so the real slack is
 * smaller.
 *
 * @param girthMm ring on which the strap lies, mm
 * @param gauge width and thickness of the fingers, mm
 * Source: derived geometry of a taut strap over a rigid circle; the flat-block formula checked against a convex hull.
 */
export function strapSlackMm(girthMm: number, gauge: { widthMm: number; thicknessMm: number }): number {
  const radius = girthMm / (2 * Math.PI)
  const half = gauge.widthMm / 2
  if (half >= radius) return Number.NaN
  const lifted = radius + gauge.thicknessMm
  const rho = Math.hypot(lifted, half)
  const phi = Math.atan(half / lifted)
  const alpha = Math.acos(radius / rho)
  return gauge.widthMm + 2 * Math.sqrt(rho ** 2 - radius ** 2) - 2 * radius * (phi + alpha)
}
