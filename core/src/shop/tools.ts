/** What a bar measures with: the smallest step of each tool. */
export interface BarTools {
  readonly jiggerMl: number;
  readonly pumpMl: number;
  readonly spoonMl: number;
  readonly scaleG: number;
}
