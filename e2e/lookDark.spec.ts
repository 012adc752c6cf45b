import { looksIn } from './looks';

looksIn('dark');
