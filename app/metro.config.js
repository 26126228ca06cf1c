const path = require('path');
const { getDefaultConfig } = require('expo/metro-config');
const { withNativeWind } = require('nativewind/metro');

const own = (file) => ({ type: 'sourceFile', filePath: path.join(__dirname, 'src/shell', file) });

/** Parts of the router that only stacks, tabs and previews draw. */
const ROUTER =
  /expo-router\/build\/(fork\/native-stack\/createNativeStackNavigator|layouts\/stack-utils(\/index)?|views\/(Sitemap|ErrorBoundary|Toast)|native-tabs\/NativeTabTrigger|link\/(elements|LinkWithPreview))(\.web)?\.js$|react-native-screens\/lib\/module\/index\.js$/;

/** What the platform's index, its styles and its screens bring along though nobody draws it; who does asks for it by itself. */
const PLATFORM =
  /react-native-web\/dist\/exports\/(Animated|FlatList|SectionList|VirtualizedList|Modal|Switch|CheckBox|Picker|ProgressBar|TouchableHighlight|TouchableOpacity|TouchableNativeFeedback|TouchableWithoutFeedback|DrawerLayoutAndroid|Button|YellowBox|ImageBackground|RefreshControl|PanResponder|LayoutAnimation|Easing|Share|Vibration|Alert|Clipboard|StatusBar|ToastAndroid|PermissionsAndroid|LogBox|DeviceInfo)\/index\.js$/;
const BRINGS_ALONG = /react-native-web\/dist\/index\.js$|react-native-css-interop\/|react-native-screens\//;

const config = getDefaultConfig(__dirname);
config.resolver.resolveRequest = (context, name, platform) => {
  const from = context.originModulePath;
  if (name === 'expo-router' && !from.includes('node_modules')) return own('router.js');
  const found = context.resolveRequest(context, name, platform);
  if (platform !== 'web' || found.type !== 'sourceFile') return found;
  const isIdle = ROUTER.test(found.filePath) || (BRINGS_ALONG.test(from) && PLATFORM.test(found.filePath));
  return isIdle ? own('notUsed.js') : found;
};

module.exports = withNativeWind(config, { input: './src/global.css' });
