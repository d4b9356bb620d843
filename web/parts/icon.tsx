import type { CSSProperties } from "react";

export interface IconProps {
  /** A name of the icon package, such as `list-checks`. */
  name: string;
  fill?: boolean;
  /** px, or a length as CSS has it. */
  size?: number | string;
  className?: string;
}

/** An icon in the colour of the text around it. It is decoration: what it stands for is said in words beside it. */
export function Icon(props: IconProps) {
  const { name, fill = false } = props;
  const file = fill ? `fill/${name}-fill` : `regular/${name}`;
  // half a letter has no address; there is no icon of that name either
  return <MaskedIcon {...props} url={`/icons/${encodeURI(file.toWellFormed())}.svg`} />;
}

/** The shape of a drawing, in the colour of the text around it. */
export function MaskedIcon({ url, size = 18, className = "" }: Omit<IconProps, "name"> & { url: string }) {
  const style = { "--icon": `url("${url}")`, width: size, height: size } as CSSProperties;
  return <span aria-hidden className={`icon ${className}`} style={style} />;
}
