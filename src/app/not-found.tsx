import Link from "next/link";

export default function NotFound() {
  return (
    <main style={{ maxWidth: "60ch", margin: "0 auto", padding: "48px 24px" }}>
      <h1>There is nothing here</h1>
      <p>
        This address leads to no site and no view. <Link href="/">Go to the shelf</Link>
      </p>
    </main>
  );
}
