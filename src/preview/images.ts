/**
 * Images to draw from, out of sight. A document keeps the addresses of the images that were loaded in it last, hundreds
 * of them, and those of pictures hold all of a page: they are loaded in a document that is thrown away.
 */

/** So many images are loaded in one document. */
const most = 16;

interface Room {
  frame: HTMLIFrameElement;
  loaded: number;
  /** Those that somebody draws from. */
  lent: number;
}

let room: Room | null = null;

export interface LentImage {
  image: HTMLImageElement;
  /** It is drawn from no more. */
  giveBack(): void;
}

export function lendImage(): LentImage {
  if (!room || room.loaded >= most) {
    const before = room;
    room = { frame: hiddenFrame(), loaded: 0, lent: 0 };
    if (before?.lent === 0) before.frame.remove();
  }
  const own = room;
  own.loaded += 1;
  own.lent += 1;
  const image = own.frame.contentDocument!.createElement("img");
  const giveBack = () => {
    image.removeAttribute("src");
    own.lent -= 1;
    if (own.lent === 0 && own !== room) own.frame.remove();
  };
  return { image, giveBack };
}

function hiddenFrame(): HTMLIFrameElement {
  const frame = document.createElement("iframe");
  frame.hidden = true;
  frame.title = "Pictures of pages";
  document.body.append(frame);
  return frame;
}
