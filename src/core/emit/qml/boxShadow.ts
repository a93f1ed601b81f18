import type { EmittedFile } from '../target';

/**
 * The shadow of a rounded box without effects of the graphics card: rectangles within each other, whose sum falls off as
 * a blurred edge does. The logistic function stands for the integral of the normal distribution, off by at most 0.01
 * (Bowling et al., 2009).
 */
export const BOX_SHADOW: EmittedFile = {
  path: 'BoxShadow.qml',
  text: `import QtQuick

// The blurred shadow of a rounded box. An effect of the graphics card may take its place here.
Item {
    id: root

    property real radius: 0
    property real deviation: 0
    property real spread: 0
    property color color: "#40000000"

    readonly property int steps: Math.max(1, Math.min(48, Math.ceil(deviation * 4)))

    function share(distance: real): real {
        return deviation === 0 ? 1 : root.color.a / (1 + Math.exp(1.702 * distance / deviation));
    }

    function reach(step: int): real {
        return root.spread + (deviation === 0 ? 0 : deviation * 2 * (1 - (2 * step + 1) / steps));
    }

    Repeater {
        model: root.steps
        delegate: Rectangle {
            id: ring

            required property int index
            readonly property BoxShadow box: parent as BoxShadow
            readonly property real reach: box.reach(index)
            readonly property real before: index === 0 ? 0 : box.share(box.reach(index - 1) - box.spread)

            anchors.fill: parent
            anchors.margins: -reach
            radius: Math.max(0, box.radius + reach)
            color: Qt.rgba(box.color.r, box.color.g, box.color.b, box.deviation === 0 ? box.color.a : 1 - (1 - box.share(reach - box.spread)) / (1 - before))
        }
    }
}
`,
};
