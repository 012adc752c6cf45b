import { looksIn } from './looks';

looksIn('light');
