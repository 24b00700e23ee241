import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Upload, Button } from "antd";
import { useState } from "react";
import { type Problem, api, toProblem, unwrap } from "../../shared/api/client";
import type { FrameDetail } from "../../shared/api/frames";
import { SCANS, aboutFile, scanFrame } from "../../shared/api/scans";
import { useRoom } from "../../shared/room/room";
import { Ways } from "../../shared/ui/Choice";
import { FramePhotograph } from "./FramePhotograph";

const SHOWS = [
  { value: "negative", label: "shows the negative" },
  { value: "positive", label: "shows the positive" },
] as const;

/** What the picture of a frame was made from and what it was taken for, and the way to another one. */
export function FrameScan(props: { detail: FrameDetail }) {
  const { frame, scan } = props.detail;
  const client = useQueryClient();
  const white = useRoom() === "white";
  const shown = (detail: FrameDetail) => {
    client.setQueryData(["frame", frame.id], detail);
    for (const key of ["rolls", "found", "slate"]) void client.invalidateQueries({ queryKey: [key] });
  };
  const replace = useMutation<FrameDetail, Problem, File>({
    mutationFn: (file) => scanFrame(frame.id, file, "guess"),
    onSuccess: shown,
  });
  const read = useMutation<FrameDetail, Problem, boolean>({
    mutationFn: (negative) =>
      unwrap(
        api.POST("/api/frames/{id}/scan/reading", { params: { path: { id: frame.id } }, body: { negative } }),
      ).catch((error: unknown) => {
        throw toProblem(error);
      }),
    onSuccess: shown,
  });
  const [sure, setSure] = useState(false);
  const problem = replace.error ?? read.error;
  return (
    <div className="frame-scan">
      {scan && (
        <p className="field-hint">
          {scan.mediaType.replace("image/", "").toUpperCase()}, {scan.widthPx} × {scan.heightPx} pixels.{" "}
          {scan.profiled ? "" : "No colour profile is in the file: its colours are taken for sRGB. "}
          {scan.turnable && scan.negative ? "Taken for a negative and turned." : ""}
        </p>
      )}
      {scan?.turnable && (
        <Ways
          label="What the scan shows"
          value={scan.negative ? "negative" : "positive"}
          ways={SHOWS}
          onChange={(way) => read.mutate(way === "negative")}
        />
      )}
      {scan && !sure ? (
        <Button size="small" disabled={!white} onClick={() => setSure(true)}>
          Another scan{white ? "" : ", in white light"}
        </Button>
      ) : (
        <>
          {scan && (
            <p className="field-hint">
              It takes the place of this one, file and all.{" "}
              <Button size="small" type="link" onClick={() => setSure(false)}>
                Keep this one
              </Button>
            </p>
          )}
          <Upload
            accept={SCANS}
            disabled={!white}
            showUploadList={false}
            beforeUpload={(file) => {
              replace.mutate(file);
              setSure(false);
              return false;
            }}
          >
            <Button size="small" disabled={!white} loading={replace.isPending || read.isPending}>
              {scan ? "Choose its file" : "Hand a scan in"}
              {white ? "" : ", in white light"}
            </Button>
          </Upload>
        </>
      )}
      <FramePhotograph frame={frame} white={white} onTaken={shown} />
      {problem && (
        <p className="field-message" role="alert">
          {aboutFile(problem)}
        </p>
      )}
    </div>
  );
}
