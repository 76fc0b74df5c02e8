import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { idsDoc } from './ids-doc';
import { idsTypes } from './ids-types';

const root = join(__dirname, '..');
writeFileSync(join(root, 'docs/ids.md'), idsDoc());
writeFileSync(join(root, 'src/catalogue/ids.ts'), idsTypes());
