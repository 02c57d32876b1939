import type { Role } from '@ratio/core/shop';

/** Who may call an endpoint: anyone, or at least a role. */
export type Right = Role | 'anyone';

/**
 * The least that each endpoint takes. One that stands nowhere here is not mounted: a new one gets its line
 * first.
 */
export const RIGHTS: Readonly<Record<string, Right>> = {
  'get /api/health': 'anyone',
  'get /api/openapi.json': 'anyone',
  'get /api/session': 'anyone',
  'post /api/session': 'anyone',
  'delete /api/session': 'anyone',
  'post /api/session/pair': 'anyone',

  'post /api/predict/recipe': 'pours',
  'post /api/predict/batch': 'pours',
  'post /api/predict/drink': 'pours',
  'get /api/ingredients': 'pours',
  'get /api/pantry': 'pours',
  'get /api/house-recipes': 'pours',
  'get /api/opened': 'pours',
  'put /api/opened/{id}': 'pours',
  'delete /api/opened/{id}': 'pours',
  'get /api/drinks': 'pours',
  'get /api/drinks/{id}/versions': 'pours',
  'get /api/shop': 'pours',
  'get /api/coffees': 'pours',
  'get /api/vessels': 'pours',
  'get /api/samples': 'pours',
  'get /api/drafts': 'pours',
  'get /api/batches': 'pours',
  'get /api/running': 'pours',
  'get /api/batches/{id}': 'pours',
  'post /api/batches/{id}/actuals': 'pours',
  'post /api/batches/{id}/split': 'pours',
  'post /api/batches/{id}/strain': 'pours',
  'get /api/instruments': 'pours',
  'get /api/instruments/states': 'pours',
  'get /api/instruments/history': 'pours',
  'post /api/instruments/{id}/acts': 'pours',
  'post /api/instruments/{id}/lines': 'pours',
  'get /api/addresses': 'pours',
  'get /api/pours': 'pours',
  'get /api/days/{date}': 'pours',
  'post /api/days/{date}/rows': 'pours',
  'get /api/jugs': 'pours',
  'get /api/jugs/{id}': 'pours',
  'get /api/jugs/{id}/entries': 'pours',
  // Reading, thinning and blending take somebody who brews: the service looks at what is done.
  'post /api/jugs/{id}/entries': 'pours',

  'put /api/pantry/{id}': 'brews',
  'delete /api/pantry/{id}': 'brews',
  'put /api/house-recipes/{id}': 'brews',
  'delete /api/house-recipes/{id}': 'brews',
  'post /api/drinks/{id}/versions': 'brews',
  'delete /api/drinks/{id}': 'brews',
  'put /api/coffees/{id}': 'brews',
  'put /api/vessels/{id}': 'brews',
  'put /api/samples/{id}': 'brews',
  'put /api/drafts/{id}': 'brews',
  'post /api/batches': 'brews',
  'post /api/jugs': 'brews',

  // A driver calls an address of the network: that is for a lead to say.
  'put /api/instruments/{id}': 'leads',
  'delete /api/instruments/{id}': 'leads',
  'get /api/calendar': 'leads',
  'post /api/calendar/key': 'leads',
  'put /api/shop': 'leads',
  'get /api/people': 'leads',
  'put /api/people/{id}': 'leads',
  'delete /api/people/{id}': 'leads',
  'get /api/devices': 'leads',
  'delete /api/devices/{id}': 'leads',
  'post /api/pairing': 'leads',
  'put /api/access': 'leads',
  'get /api/backups': 'leads',
  'post /api/backups': 'leads',
  'post /api/backups/{name}/restore': 'leads',
};
