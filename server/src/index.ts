export { serve, StartRefused, type Demo, type Serving } from './serve';
export { readConfig, type Config } from './config';
export { connect } from './database/connect';
export { migrate } from './database/migrations';
export { createKeys, type KeyLine, type KeyRole } from './doors/keys';
