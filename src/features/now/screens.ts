export { WhatIsHere } from './what-is-here';
