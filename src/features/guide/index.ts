export { GroupScreen } from './group-screen';
export { GuideScreen } from './guide-screen';
