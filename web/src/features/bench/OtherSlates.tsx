import { Button } from "antd";
import { useState } from "react";
import { Link } from "react-router";
import { type Schemas, picture, positiveAt } from "../../shared/api/client";
import { useSlates } from "../../shared/api/shelf";
import { Shelf } from "../../shared/ui/Shelf";

export type SlateCard = Schemas["SlateCard"];

/** The picture of a slate: its last sheet, else its frame. */
export function cardPicture(card: SlateCard): string | undefined {
  if (card.lastPictureId !== undefined) return picture(card.lastPictureId);
  return card.positivePath === undefined ? undefined : positiveAt(card.positivePath, 480);
}

/** The slates beside the one on the easel as small prints, older ones when asked for; and those put away. */
export function OtherSlates(props: { bench: Schemas["BenchView"] }) {
  const { slates, moreSlates, putAway } = props.bench;
  const [asked, setAsked] = useState(false);
  const older = useSlates(false, slates.at(-1)?.id, asked && moreSlates > 0);
  const pages = asked && moreSlates > 0 ? (older.data?.pages ?? []) : [];
  const others = [...slates.slice(1), ...pages.flatMap((page) => page.slates)];
  const left = pages.at(-1)?.moreSlates ?? moreSlates;
  return (
    <>
      {others.length > 0 && (
        <section aria-label="Other slates">
          <h2 className="visually-hidden">Other slates</h2>
          <SmallPrints cards={others} away={false} />
          {left > 0 && (
            <Button
              className="more"
              loading={older.isFetching}
              onClick={() => (asked ? void older.fetchNextPage() : setAsked(true))}
            >
              Older slates ({left})
            </Button>
          )}
        </section>
      )}
      {putAway > 0 && <SlatesPutAway count={putAway} />}
    </>
  );
}

/** Slates that are not needed now; one that nothing was exposed for can be deleted here. */
function SlatesPutAway(props: { count: number }) {
  const [open, setOpen] = useState(false);
  const away = useSlates(true, undefined, open);
  return (
    <details className="put-away" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary>Put away ({props.count})</summary>
      {away.data && <SmallPrints cards={away.data.pages.flatMap((page) => page.slates)} away />}
      {away.hasNextPage && (
        <Button className="more" loading={away.isFetchingNextPage} onClick={() => void away.fetchNextPage()}>
          Older ones
        </Button>
      )}
    </details>
  );
}

function SmallPrints(props: { cards: readonly SlateCard[]; away: boolean }) {
  return (
    <ul className="small-prints">
      {props.cards.map((card) => (
        <SmallPrint key={card.id} card={card} away={props.away} />
      ))}
    </ul>
  );
}

function SmallPrint(props: { card: SlateCard; away: boolean }) {
  const { card } = props;
  const source = cardPicture(card);
  return (
    <li>
      <Link to={`/slates/${card.id}/${card.next.station}`}>
        <span className="print">
          {source ? (
            <img src={source} alt="" loading="lazy" style={{ aspectRatio: card.aspect }} />
          ) : (
            <span className="blank-sheet">no scan</span>
          )}
        </span>
        <strong>{card.title}</strong>
        <span>{card.next.headline}</span>
      </Link>
      <Shelf
        thing={{ kind: "slate", id: card.id }}
        title={card.title}
        away={props.away}
        deletable={card.deletable}
        deletes={props.away}
      />
    </li>
  );
}
