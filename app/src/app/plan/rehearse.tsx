export { RehearseScreen as default } from '@/features/rehearsal/RehearseScreen';
