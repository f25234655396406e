/** Boxes that are as large as what is in them, whatever contains them, have no size to ask for (CSS Containment 2, 3.1): by `display`. */
export const sizeless = /^(?:none|contents|inline|ruby.*|inline-table|table(?!-cell|-caption).*)$/;
