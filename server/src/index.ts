export { serve, type Demo, type Serving } from './serve';
export { readConfig, type Config } from './config';
