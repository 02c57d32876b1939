export { coffeeOf, type Composition } from './composition.ts';
export { densityGPerMl, energyKcal, massOfStoredG, storedCoffeeMl } from './properties.ts';
export { waterDensityGPerMl } from './waterDensity.ts';
