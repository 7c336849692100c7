import Link from "next/link";

export default function NotFound() {
  return (
    <main className="mx-auto max-w-xl p-10">
      <h1>There is nothing at this address</h1>
      <p className="lede my-2">The piece may have been removed, or the address was typed wrong.</p>
      <Link className="button" href="/">
        Go to the bench
      </Link>
    </main>
  );
}
