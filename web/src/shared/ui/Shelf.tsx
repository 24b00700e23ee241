import { useState } from "react";
import { type Thing, useShelf } from "../api/shelf";

/** Puts a thing away or takes it out again, and deletes it where nothing was exposed for it; deleting asks once more. */
export function Shelf(props: {
  thing: Thing;
  title: string;
  away: boolean;
  deletable: boolean;
  /** Deleting is offered where a thing is looked at by itself, and not in passing. */
  deletes: boolean;
  onDeleted?: () => void;
}) {
  const { thing, title, away } = props;
  const { putAway, remove } = useShelf(thing);
  const [asked, setAsked] = useState(false);
  const problem = putAway.error ?? remove.error;
  return (
    <div className="shelf">
      {asked ? (
        <>
          <span>Delete “{title}” for good?</span>
          <button
            type="button"
            className="link"
            disabled={remove.isPending}
            onClick={() => remove.mutate(undefined, { onSuccess: () => props.onDeleted?.() })}
          >
            Delete
          </button>
          <button type="button" className="link" autoFocus onClick={() => setAsked(false)}>
            Keep it
          </button>
        </>
      ) : (
        <>
          <button
            type="button"
            className="link"
            disabled={putAway.isPending}
            aria-label={`${away ? "Take out" : "Put away"} ${title}`}
            onClick={() => putAway.mutate(!away)}
          >
            {away ? "Take out" : "Put away"}
          </button>
          {props.deletes && props.deletable && (
            <button
              type="button"
              className="link"
              aria-label={`Delete ${title}`}
              onClick={() => setAsked(true)}
            >
              Delete
            </button>
          )}
        </>
      )}
      {problem && (
        <span className="field-message" role="alert">
          {problem.message}
        </span>
      )}
    </div>
  );
}
