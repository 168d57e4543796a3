export { ROUTE_ENGINE, routeOf, type Route } from './route.js';
export { STEPS, type RouteStep } from './steps.js';
