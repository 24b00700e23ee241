import { Link, useRouteError } from "react-router";
import { toProblem } from "../shared/api/client";

/** An address that leads nowhere, or a page that failed: what happened, and the way back. */
export function ErrorPage() {
  const error = useRouteError();
  const message = error instanceof Error ? toProblem(error).message : "There is no page at this address.";
  return (
    <main className="error-page">
      <h1>This page cannot be shown</h1>
      <p>{message}</p>
      <p>Nothing that was saved is lost.</p>
      <Link to="/">Go to the bench</Link>
    </main>
  );
}
