export { ROUTE_ENGINE, routeOf, STEPS, type Route, type Step } from './route.js';
