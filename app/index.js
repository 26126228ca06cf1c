// The first screen and its frame come with the entry; every other screen is a file of its own, fetched when it is opened.
import './src/shell/loadShared';
import './src/app/_layout';
import './src/app/index';
import 'expo-router/entry';
