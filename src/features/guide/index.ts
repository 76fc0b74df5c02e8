export { GroupScreen } from './group-screen';
export { GroupRow, GuideScreen } from './guide-screen';
