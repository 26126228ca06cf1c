import { type SourceKind } from '@hoddle/core/process/householdSource';

export const KIND_WORDS: Readonly<Record<SourceKind, string>> = {
  extension: 'Extension service',
  government: 'Government',
  'tested-book': 'Tested canning book',
  film: 'Film or video',
  blog: 'Blog',
  family: 'Family or friends',
};
