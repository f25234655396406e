/** Why something could not be done, said aloud; nothing without a reason. */
export function Problem({ children }: { children: string | null | undefined }) {
  if (!children) return null;
  return (
    <p className="fails" role="alert">
      {children}
    </p>
  );
}
