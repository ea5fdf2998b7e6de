type Ask = () => Promise<boolean>;

let ask: Ask | null = null;

/** Who asks for the password where it has to be typed once more; one for the whole page. @returns a way to stop */
export function answerPasswordAgain(next: Ask): () => void {
  ask = next;
  return () => {
    if (ask === next) ask = null;
  };
}

/** Has the password typed once more. @returns whether it was, and fitted */
export function passwordAgain(): Promise<boolean> {
  return ask ? ask() : Promise.resolve(false);
}
