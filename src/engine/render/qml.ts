import { execFile } from 'node:child_process';
import { existsSync } from 'node:fs';
import { chmod, mkdir, readFile, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { promisify } from 'node:util';
import { NoToolchain } from './noToolchain';
import type { Renderer } from './renderers';

const run = promisify(execFile);

/** The runtime of Qt Quick, from Debian's packages. */
const RUNTIME = '/usr/lib/qt6/bin/qml';

/** What Debian's packages of it are called, with the modules that the files import. */
const PACKAGES =
  'qml-qt6 qml6-module-qtquick qml6-module-qtquick-layouts qml6-module-qtquick-shapes qml6-module-qtquick-window qml6-module-qtqml qml6-module-qtqml-models qml6-module-qtqml-workerscript libqt6svg6';

/** The longest time that a screen may take, ms. */
const LONGEST = 60_000;

/** Shows a file in a window without a frame, and keeps what it draws. */
const GRAB = `import QtQuick
import QtQuick.Window

Window {
    id: win

    visible: true
    flags: Qt.FramelessWindowHint

    Loader {
        source: Qt.application.arguments[Qt.application.arguments.length - 2]
        onStatusChanged: if (status === Loader.Error) Qt.exit(3)
        onLoaded: {
            win.width = item.width;
            win.height = item.height;
            timer.start();
        }

        Timer {
            id: timer

            interval: 50
            onTriggered: parent.item.grabToImage(result => {
                result.saveToFile(Qt.application.arguments[Qt.application.arguments.length - 1]);
                Qt.quit();
            })
        }
    }
}
`;

/** Draws QML by Qt Quick itself, without a screen. @throws NoToolchain where Qt is missing */
export const renderQml: Renderer = async ({ folder, screens }) => {
  if (!existsSync(RUNTIME)) throw new NoToolchain('Qt Quick', PACKAGES);
  const work = path.join(folder, '.grab');
  await mkdir(work, { recursive: true });
  await chmod(work, 0o700);
  const grab = path.join(work, 'grab.qml');
  await writeFile(grab, GRAB);
  const shown = new Map<string, string>();
  const files: { path: string; bytes: Uint8Array }[] = [];
  for (const { id, file } of screens) {
    const drawn = path.join(work, `${path.basename(file, '.qml')}.png`);
    const asked = pathToFileURL(path.resolve(folder, file)).href;
    await run(RUNTIME, [grab, '--', asked, drawn], {
      timeout: LONGEST,
      env: {
        ...process.env,
        QT_QPA_PLATFORM: 'offscreen',
        QT_QUICK_BACKEND: 'software',
        QML_DISABLE_DISK_CACHE: '1',
        XDG_RUNTIME_DIR: work,
      },
    });
    const name = `preview/${path.basename(drawn)}`;
    files.push({ path: name, bytes: new Uint8Array(await readFile(drawn)) });
    shown.set(id, name);
  }
  return { files, shown };
};
