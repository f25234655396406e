import styles from "./Shelf.module.css";

/** The desk in one picture: the page with marks in its margin, a heading that is picked, and the slip beside it. */
export function DeskPicture() {
  return (
    <svg
      className={styles.picture}
      viewBox="0 0 560 300"
      role="img"
      aria-label="A page with marks in its margin. Its heading is picked; beside the page a slip says of it what is set, and where."
    >
      <rect className={styles.room} width="560" height="300" />
      <rect className={styles.mat} width="560" height="24" />
      <rect className={styles.paper} x="76" y="24" width="264" height="276" />
      <g className={styles.mark}>
        <path d="M60 92H76" />
        <rect x="12" y="80" width="48" height="24" />
        <text x="20" y="97">
          ▲ 2.8
        </text>
      </g>
      <g className={`${styles.mark} ${styles.doubtful}`}>
        <path d="M60 182H76" />
        <rect x="26" y="170" width="34" height="24" />
        <text x="34" y="187">
          ◆ 1
        </text>
      </g>
      <text className={styles.heading} x="96" y="102">
        Winter sailings
      </text>
      <path
        className={styles.corners}
        d="M88 86v-12h12M316 74h12v12M328 100v12h-12M100 112h-12v-12"
        strokeWidth="3"
        fill="none"
      />
      <path
        className={styles.words}
        d="M96 134H316M96 150H308M96 166H322M96 182H296M96 222H180M96 240H316M96 256H304"
        strokeWidth="6"
      />
      <rect className={styles.leaf} x="352" y="24" width="208" height="276" />
      <text className={styles.title} x="368" y="54">
        Section heading
      </text>
      <text className={styles.fails} x="368" y="84">
        ▲ 2.8 : 1
      </text>
      <path className={styles.lines} d="M352 98H560M352 130H560M352 162H560M352 194H560M352 226H560" />
      {["Size", "Leading", "Weight", "Ink"].map((name, at) => (
        <g key={name}>
          <text className={styles.name} x="368" y={119 + at * 32}>
            {name}
          </text>
          <text className={styles.value} x="440" y={119 + at * 32}>
            {["28px", "32px", "400", "#8a9aa6"][at]}
          </text>
        </g>
      ))}
      <rect x="516" y="205" width="14" height="14" fill="#8a9aa6" />
      <text className={styles.good} x="368" y="256">
        4.5 with #697884
      </text>
    </svg>
  );
}
