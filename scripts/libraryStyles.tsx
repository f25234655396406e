/** The styles of the parts that we take from the component library, made once for a build instead of in every window. */
import { createCache, extractStyle, StyleProvider } from "@ant-design/cssinjs";
import {
  App,
  AutoComplete,
  Button,
  Checkbox,
  ConfigProvider,
  Dropdown,
  Input,
  InputNumber,
  Menu,
  Modal,
  Popover,
  Radio,
  Segmented,
  Select,
  Splitter,
  message,
} from "antd";
import { renderToString } from "react-dom/server";
import { themeFor } from "../src/ui/shared/theme";

// What is drawn only once it is opened has a panel of its own for such an end.
const { _InternalPanelDoNotUseOrYouWillBeFired: ModalPanel } = Modal;
const { _InternalPanelDoNotUseOrYouWillBeFired: PopoverPanel } = Popover;
const { _InternalPanelDoNotUseOrYouWillBeFired: MessagePanel } = message;

/** One of each part that `src/ui` imports: a test holds that none is missing. */
const parts = (
  <App>
    <AutoComplete />
    <Button />
    <Checkbox />
    <Checkbox.Group options={["one"]} />
    <Dropdown menu={{ items: [] }}>
      <span />
    </Dropdown>
    <Input />
    <Input.TextArea />
    <InputNumber />
    <Menu items={[]} />
    <MessagePanel />
    <ModalPanel />
    <ModalPanel type="confirm" />
    <PopoverPanel />
    <Radio />
    <Radio.Group options={["one"]} />
    <Segmented options={["one"]} />
    <Select />
    <Splitter>
      <Splitter.Panel />
    </Splitter>
  </App>
);

/** @returns CSS that says nothing of sizes and colours: those are custom properties, set where Hevret runs */
export function libraryStyles(): string {
  const cache = createCache();
  const theme = { ...themeFor("light", (count) => count * 16), zeroRuntime: false };
  renderToString(
    <StyleProvider cache={cache}>
      <ConfigProvider theme={theme} wave={{ disabled: true }}>
        {parts}
      </ConfigProvider>
    </StyleProvider>,
  );
  return extractStyle(cache, { plain: true, types: "style" });
}
