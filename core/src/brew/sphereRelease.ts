/**
 * Share that has diffused out of one sphere whose surface is kept clean.
 *
 * @param fourier ∫D dt over the radius squared, 0 or more
 * @returns share released, 0–1, to 1e-12
 * @see Crank 1975, The Mathematics of Diffusion, eq. 6.20 (long times) and 6.22 (short times)
 * @example sphereReleaseFrac(0.1) // 0.7705
 */
export function sphereReleaseFrac(fourier: number): number {
  if (fourier <= 0) return 0;
  // Below this the terms that the short-time form leaves out are under 1e-13.
  if (fourier < 0.03) return 6 * Math.sqrt(fourier / Math.PI) - 3 * fourier;
  let left = 0;
  for (let n = 1; ; n++) {
    const term = Math.exp(-n * n * Math.PI * Math.PI * fourier) / (n * n);
    left += term;
    if (term < 1e-14) return 1 - (6 / (Math.PI * Math.PI)) * left;
  }
}

/**
 * Slope of the released share by Fourier number.
 *
 * @param fourier above 0
 * @returns d(share)/d(fourier), 0 or more
 */
export function sphereReleaseSlope(fourier: number): number {
  if (fourier < 0.03) return 3 / Math.sqrt(Math.PI * fourier) - 3;
  let sum = 0;
  for (let n = 1; ; n++) {
    const term = Math.exp(-n * n * Math.PI * Math.PI * fourier);
    sum += term;
    if (term < 1e-14) return 6 * sum;
  }
}
