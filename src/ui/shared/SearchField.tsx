"use client";

import { Input } from "antd";

interface Props {
  value: string;
  onChange(value: string): void;
  className?: string;
}

/** Words that what is listed has to have. */
export function SearchField({ value, onChange, className }: Props) {
  return (
    <Input
      size="small"
      aria-label="Search"
      placeholder="Search"
      className={className}
      value={value}
      onChange={({ target }) => onChange(target.value)}
      allowClear
    />
  );
}
