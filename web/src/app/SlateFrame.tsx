import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Outlet, useNavigate, useOutletContext, useParams, useSearchParams } from "react-router";
import type { SlateView } from "../shared/api/client";
import { type RecipeEdit, type SlateChange, useRecipeEdit, useSlate, useUndo } from "../shared/api/slate";
import { useKeys } from "../shared/keys/keys";
import { enterRoom, useRoom } from "../shared/room/room";
import { askForWhite } from "../shared/room/whiteLight";
import { ProblemBar } from "../shared/ui/Problem";
import { BenchEdge } from "./BenchEdge";
import { Cord } from "./Cord";
import { EnlargerColumn } from "./EnlargerColumn";
import { KeyList } from "./KeyList";

/** What a station gets from the frame around it. */
export interface SlateContext {
  slate: SlateView;
  edit: SlateChange<RecipeEdit>;
}

export function useSlateContext(): SlateContext {
  return useOutletContext<SlateContext>();
}

/** Everything around a station: enlarger at the left, cord above, bench edge below. */
export function SlateFrame() {
  const { id = "" } = useParams();
  const slate = useSlate(id);
  if (slate.error) throw slate.error;
  if (!slate.data) return <main className="loading">Fetching the slate …</main>;
  return <Framed slate={slate.data} />;
}

function Framed(props: { slate: SlateView }) {
  const { slate } = props;
  const edit = useRecipeEdit(slate.id);
  const undo = useUndo(slate.id);
  const room = useRoom();
  const navigate = useNavigate();
  const client = useQueryClient();
  const [search] = useSearchParams();
  const [keysOpen, setKeysOpen] = useState(false);
  const { stations } = slate.medium;
  const go = (path: string) => void navigate(`/slates/${slate.id}/${path}`);
  useKeys({
    ...Object.fromEntries(stations.map((s) => [s.key, () => go(s.path)])),
    b: () => void navigate("/"),
    n: () => go(slate.next.station),
    u: () => undo.mutate("undo"),
    U: () => undo.mutate("redo"),
    s: () => (room === "white" ? enterRoom("safelight") : void askForWhite()),
    "?": () => setKeysOpen(true),
  });
  const reload = () => {
    edit.reset();
    undo.reset();
    void client.invalidateQueries({ queryKey: ["slate", slate.id] });
  };
  const loose = edit.error && edit.error.errors.length === 0 ? edit.error : undo.error;
  return (
    <div className="frame">
      <EnlargerColumn slate={slate} edit={edit} />
      <div className="frame-main">
        <Cord slate={slate} chosen={search.get("sheet") ?? undefined} />
        <ProblemBar problem={loose} onReload={reload} />
        <div className="station">
          <Outlet context={{ slate, edit } satisfies SlateContext} />
        </div>
      </div>
      <BenchEdge slateId={slate.id} stations={stations} onKeys={() => setKeysOpen(true)} />
      <div className="undo-bar">
        <button
          type="button"
          disabled={slate.undoLabel === undefined}
          onClick={() => undo.mutate("undo")}
          aria-keyshortcuts="u"
        >
          Undo <kbd>U</kbd> <span>{slate.undoLabel ?? "nothing to undo"}</span>
        </button>
        {slate.redoLabel !== undefined && (
          <button type="button" onClick={() => undo.mutate("redo")}>
            Redo
          </button>
        )}
      </div>
      <KeyList open={keysOpen} stations={stations} onClose={() => setKeysOpen(false)} />
    </div>
  );
}
