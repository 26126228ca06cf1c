import { AddScreen } from '@/features/pantry/AddScreen';

export default AddScreen;
