"use client";

interface Props {
  /** What is pressed. */
  children: React.ReactNode;
  /** What it is called, where what is pressed does not say it. */
  name?: string;
  className?: string;
  /** Endings that are offered, with commas between them; all by default. */
  accept?: string;
  /** Whether several are taken, or a whole folder; one file by default. */
  takes?: "files" | "folder";
  onFiles(files: [File, ...File[]]): void;
}

/** Something to press that asks for files of the machine; the same can be chosen again. */
export function FileChooser({ children, name, className, accept, takes, onFiles }: Props) {
  return (
    <label className={className}>
      {children}
      <input
        type="file"
        className="visually-hidden"
        aria-label={name}
        accept={accept}
        multiple={takes !== undefined}
        {...(takes === "folder" && { webkitdirectory: "" })}
        onChange={({ target }) => {
          const [first, ...others] = [...(target.files ?? [])];
          target.value = "";
          if (first) onFiles([first, ...others]);
        }}
      />
    </label>
  );
}
