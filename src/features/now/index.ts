export { NowScreen } from './now-screen';
