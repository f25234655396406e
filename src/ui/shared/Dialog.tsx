"use client";

import { Modal, type ModalProps } from "antd";
import { useRef } from "react";

/** What a person types into. */
const fields = "input:not([type='checkbox'], [type='radio']), textarea";

/** A dialog that begins on its first field, where it has one: not on what closes it. */
export function Dialog({ children, ...props }: ModalProps) {
  const content = useRef<HTMLDivElement>(null);
  return (
    <Modal
      {...props}
      afterOpenChange={(isOpen) => {
        props.afterOpenChange?.(isOpen);
        const field = isOpen ? content.current?.querySelector<HTMLInputElement | HTMLTextAreaElement>(fields) : null;
        field?.focus();
        field?.select();
      }}
    >
      <div ref={content}>{children}</div>
    </Modal>
  );
}
