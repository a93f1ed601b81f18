import { drawnResponse, fileResponse } from './fileResponse';

const bytes = (text: string) => new TextEncoder().encode(text);

describe('a file as a response', () => {
  it('has the type of its ending, and runs nothing', () => {
    const { headers } = fileResponse('pictures/anchor.svg', bytes('<svg/>'));
    expect(headers.get('content-type')).toBe('image/svg+xml');
    expect(headers.get('content-security-policy')).toContain("default-src 'none'");
    expect(headers.get('x-content-type-options')).toBe('nosniff');
  });

  it('is the SVG of a vector drawable where it is asked to be drawn', async () => {
    const drawable =
      '<vector xmlns:android="http://schemas.android.com/apk/res/android" android:viewportWidth="9" android:viewportHeight="9"><path android:pathData="M0 0H9" android:strokeColor="#80ff0000" android:strokeWidth="2"/></vector>';
    const response = drawnResponse('res/drawable/anchor.xml', bytes(drawable));
    expect(response.headers.get('content-type')).toBe('image/svg+xml');
    expect(await response.text()).toMatch(/<path d="M0 0H9"[^>]* stroke="#ff000080" stroke-width="2"/);
  });

  it('is refused where nothing is to be drawn', () => {
    expect(() => drawnResponse('index.html', bytes('<vector/>'))).toThrow('no vector drawable');
    expect(() => drawnResponse('res/values/colors.xml', bytes('<resources/>'))).toThrow('no vector drawable');
  });
});
