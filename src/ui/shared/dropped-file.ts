type Receiver = (file: File) => void;

let receiver: Receiver | undefined;

/** While a view takes files of its own, what is dropped on the page goes there. Gives back what ends it. */
export function receiveDrops(take: Receiver): () => void {
  receiver = take;
  return () => {
    if (receiver === take) receiver = undefined;
  };
}

export const dropReceiver = (): Receiver | undefined => receiver;
