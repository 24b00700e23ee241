import { Link } from "react-router";
import { useBench } from "../shared/api/slate";

/** The name, which leads to the Bench; in the practice darkroom every page says so beside it. */
export function Wordmark() {
  const bench = useBench();
  return (
    <Link to="/" className="wordmark">
      Key Slate
      {bench.data?.practice && <span className="practice-note">practice</span>}
    </Link>
  );
}
