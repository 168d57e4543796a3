export { ROUTE_ENGINE, routeOf, type Route } from './route.js';
export { STEPS, type Step } from './steps.js';
