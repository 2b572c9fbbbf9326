/** Every view with what is laid out on it; the bay has its own test. */
export const MAIN_VIEWS = [
  '/',
  '/machines/1/aim',
  '/machines/1/ratio',
  '/machines/1/fit',
  '/machines/1/loads',
  '/machines/1/build',
  '/machines/1/set',
  '/machines/1/check',
  '/machines/1/choice',
  '/machines/6/jobs/21',
  '/faults',
  '/stock',
  '/practice',
]
