import { FilesScreen } from '@/features/pantry/FilesScreen';

export default FilesScreen;
