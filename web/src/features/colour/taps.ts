import { useState } from "react";

/** A place in a picture, fractions of its width and height. */
export interface Spot {
  x: number;
  y: number;
}

/** What a tap in a picture says: some grey, a grey card, which tells the density too, or bare paper where no rim is seen. */
export type Tapped = "GREY" | "CARD" | "WHITE";

interface InPicture {
  scan: number;
  spot?: Spot | undefined;
  white?: Spot | undefined;
}

/** What was tapped in the last of so many pictures of a sheet; in another picture it means nothing. */
export function useTaps(scans: number, canCard: boolean) {
  const [inPicture, setInPicture] = useState<InPicture>({ scan: scans });
  const [card, setCard] = useState(false);
  const [tapsWhite, setTapsWhite] = useState(false);
  const { spot, white }: Omit<InPicture, "scan"> = inPicture.scan === scans ? inPicture : {};
  const isCard = canCard && card;
  const grey: Tapped = isCard ? "CARD" : "GREY";
  const turnTo = (what: Tapped) => {
    setTapsWhite(what === "WHITE");
    if (what !== "WHITE") setCard(what === "CARD");
  };
  return {
    isCard,
    what: tapsWhite ? ("WHITE" as const) : grey,
    turnTo,
    turnCard: () => turnTo(card ? "GREY" : "CARD"),
    turnWhite: () => turnTo(tapsWhite ? grey : "WHITE"),
    /** Where the mark stands that a tap moves, and the other one. */
    mark: tapsWhite ? white : spot,
    other: tapsWhite ? spot : white,
    onSpot: (at: Spot) => setInPicture({ scan: scans, spot, white, [tapsWhite ? "white" : "spot"]: at }),
    /** As a look says it; of which picture too, as another may be handed in before it is taken. */
    said: spot && {
      scan: scans,
      ...spot,
      ...(isCard && { card: true }),
      ...(white && { white: [white.x, white.y] }),
    },
    /** Forgets the spot; bare paper stays where it is. */
    clear: () => {
      setInPicture({ scan: scans, white });
      setTapsWhite(false);
    },
  };
}
