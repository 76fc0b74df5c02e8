export { GlossaryScreen as default } from '@/features/glossary';
