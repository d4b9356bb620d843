import { iconAsSvg, ownIconAt } from "../../core/index.js";
import { Icon, type IconProps, MaskedIcon } from "./icon.js";
import { useOwnIcons } from "./own-icons.js";

/** An icon that the app shown here names: one of its own, or one of the package. */
export function AppIcon(props: IconProps) {
  const own = ownIconAt(useOwnIcons(), props.name);
  if (!own) return <Icon {...props} />;
  return <MaskedIcon {...props} url={`data:image/svg+xml,${encodeURIComponent(iconAsSvg(own))}`} />;
}
