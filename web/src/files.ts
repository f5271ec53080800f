/** Hands a file to the person, as a download. */
export function download(content: Blob, name: string): void {
  const link = document.createElement("a");
  link.href = URL.createObjectURL(content);
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}

/** Asks for files and hands back the text of the first, or null. */
export function pickText(accept: string): Promise<{ name: string; text: string } | null> {
  return new Promise((resolve) => {
    const input = document.createElement("input");
    input.type = "file";
    input.accept = accept;
    input.addEventListener("change", () => {
      const file = input.files?.[0];
      if (file) void file.text().then((text) => resolve({ name: file.name, text }));
      else resolve(null);
    });
    input.addEventListener("cancel", () => resolve(null));
    input.click();
  });
}
