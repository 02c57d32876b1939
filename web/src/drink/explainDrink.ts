// By itself, so that it is fetched when somebody asks, and not with the page.
export { explainDrink } from '@ratio/core/drink';
