module.exports = { content: ['./src/**/*.{ts,tsx}'], presets: [require('nativewind/preset')] };
