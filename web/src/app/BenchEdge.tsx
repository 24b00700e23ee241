import { NavLink } from "react-router";
import type { Standing } from "../shared/api/client";
import { enterRoom, useRoom } from "../shared/room/room";
import { askForWhite } from "../shared/room/whiteLight";

export type Stations = Standing["medium"]["stations"];

/** The lower edge: the stations of a slate in working order, or the places beside the slates; and the room. */
export function BenchEdge(props: { slateId?: string; stations?: Stations; onKeys: () => void }) {
  return (
    <footer className="bench-edge">
      <nav aria-label={props.slateId ? "Stations" : "Places"}>
        <NavLink to="/" end aria-keyshortcuts="b">
          Bench
        </NavLink>
        {props.slateId ? (
          <StationLinks slateId={props.slateId} stations={props.stations ?? []} />
        ) : (
          <>
            <NavLink to="/rolls">Rolls</NavLink>
            <NavLink to="/stores">Stores</NavLink>
            <NavLink to="/backups">Backups</NavLink>
          </>
        )}
      </nav>
      <button type="button" className="keys-button" onClick={props.onKeys} aria-keyshortcuts="?">
        <kbd>?</kbd> <span className="visually-hidden">Keys</span>
      </button>
      <RoomSwitch />
    </footer>
  );
}

function StationLinks(props: { slateId: string; stations: Stations }) {
  return props.stations.map((station, i) => (
    <NavLink
      key={station.path}
      to={`/slates/${props.slateId}/${station.path}`}
      className={i === 0 || props.stations[i - 1]?.group !== station.group ? "group-start" : ""}
      aria-keyshortcuts={station.key}
    >
      {station.name} <kbd>{station.key}</kbd>
    </NavLink>
  ));
}

function RoomSwitch() {
  const room = useRoom();
  return (
    <div className="room-switch" role="group" aria-label="Room">
      <button type="button" aria-pressed={room === "white"} onClick={() => void askForWhite()}>
        White<span className="visually-hidden"> light</span>
      </button>
      <button type="button" aria-pressed={room === "safelight"} onClick={() => enterRoom("safelight")}>
        Safelight
      </button>
    </div>
  );
}
