import { Link, useRouteError } from "react-router";
import { toProblem } from "../shared/api/client";
import { useRoom } from "../shared/room/room";

/** An address that leads nowhere, or a page that failed: what happened, and the way back. */
export function ErrorPage() {
  const error = useRouteError();
  const white = useRoom() === "white";
  const unexpected = error instanceof Error && toProblem(error).code === "unexpected";
  const message = error instanceof Error ? toProblem(error).message : "There is no page at this address.";
  return (
    <main className="error-page">
      <h1>This page cannot be shown</h1>
      <p>{message}</p>
      <p>Nothing that was saved is lost.</p>
      {unexpected && (
        <p>
          {white ? (
            <a className="link" href="/api/log" download>
              Save the log
            </a>
          ) : (
            "The log can be saved in white light"
          )}
          : what went wrong and where in the program, for whoever helps. It holds no picture and nothing that
          you wrote.
        </p>
      )}
      <Link to="/">Go to the bench</Link>
    </main>
  );
}
