import { App as AntApp, ConfigProvider, theme } from 'antd';
import { type ReactNode, useMemo } from 'react';
import { useStored } from '../data/useStored';
import { nonce } from '../theme/nonce';
import { ThemeContext } from '../theme/useTheme';
import { applyTokens, textFont, themes, type ThemeName } from '../theme/tokens';

const csp = nonce ? { nonce } : {};

export function ThemeProvider({ children }: { children: ReactNode }) {
  const [name, setName] = useStored<ThemeName>('theme', 'paper');
  const t = themes[name];
  applyTokens(name);
  const value = useMemo(
    () => ({ name, toggle: () => setName(name === 'paper' ? 'lamp' : 'paper') }),
    [name, setName],
  );
  return (
    <ThemeContext value={value}>
      <ConfigProvider
        csp={csp}
        theme={{
          algorithm: name === 'lamp' ? theme.darkAlgorithm : theme.defaultAlgorithm,
          token: {
            fontFamily: textFont,
            fontSize: 15,
            borderRadius: 3,
            borderRadiusLG: 3,
            borderRadiusSM: 3,
            colorPrimary: t.kelp,
            colorLink: t.kelp,
            colorError: t.rust,
            colorWarning: t.ochre,
            colorInfo: t.tide,
            colorSuccess: t.kelp,
            colorText: t.ink,
            colorTextSecondary: t.ink2,
            colorTextTertiary: t.ink2,
            colorTextPlaceholder: t.ink2,
            colorTextDescription: t.ink2,
            colorBgBase: t.sheet,
            colorBgContainer: t.sheet,
            colorBgElevated: t.sheet,
            colorBgLayout: t.paper,
            colorBorder: t.rule,
            colorBorderSecondary: t.rule,
            colorTextLightSolid: t.sheet,
            boxShadow: 'none',
            boxShadowSecondary: `0 0 0 1px ${t.rule}`,
            boxShadowTertiary: 'none',
            controlHeight: 34,
            motion: false,
          },
          components: {
            Table: {
              headerBg: t.sheet,
              headerColor: t.ink2,
              rowHoverBg: t.zone,
              headerSplitColor: 'transparent',
            },
            Button: {
              primaryShadow: 'none',
              defaultShadow: 'none',
              defaultColor: t.kelp,
              defaultBorderColor: t.kelp,
              fontWeight: 600,
            },
            Slider: {
              handleColor: t.kelp,
              handleActiveColor: t.kelp,
              trackBg: t.kelp,
              trackHoverBg: t.kelp,
              railBg: t.rule,
              railHoverBg: t.rule,
            },
            Segmented: { itemSelectedBg: t.zone, trackBg: t.paper },
          },
        }}
      >
        <AntApp>{children}</AntApp>
      </ConfigProvider>
    </ThemeContext>
  );
}
