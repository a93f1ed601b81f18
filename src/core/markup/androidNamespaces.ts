/** The namespaces of resource files (Android, “App resources”; `aapt` is that of the compiler, `tools` that of the editor). */
export const ANDROID = 'http://schemas.android.com/apk/res/android';
export const AAPT = 'http://schemas.android.com/aapt';
export const TOOLS = 'http://schemas.android.com/tools';
