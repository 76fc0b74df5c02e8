import { scriptsOf } from './first-load';
import { leaveForLater } from './write-parts';

const PAGE =
  '<html><head><title>A</title></head><body><script src="/js/__runtime-1.js" defer></script><script src="/js/__common-2.js" defer></script><script src="/js/entry-3.js" defer></script></body></html>';

test('what the parts share is no script of the page any more, and its address stands in the page', () => {
  const page = leaveForLater(PAGE);
  expect(scriptsOf(page)).toEqual(['/js/__runtime-1.js', '/js/entry-3.js']);
  expect(page).toContain('<meta name="shared-part" content="/js/__common-2.js" /></head>');
});

test('an export in one piece is refused rather than counted as small', () => {
  expect(() => leaveForLater(PAGE.replace('__common', 'rest'))).toThrow(/no script/);
});
