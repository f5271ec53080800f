import { X } from "lucide-react";
import { IconButton } from "../ui";

interface ListedHeadProps {
  readonly name: string;
  readonly chosen: boolean;
  readonly onChoose: () => void;
  readonly onDelete: () => void;
}

/** The head of a thing that is listed beside a photo: its name, which chooses it, and what deletes it. */
export const ListedHead = ({ name, chosen, onChoose, onDelete }: ListedHeadProps) => (
  <div className="flex items-center gap-1">
    <button type="button" aria-pressed={chosen} className="min-h-6 grow text-left font-medium" onClick={onChoose}>
      {name}
    </button>
    <IconButton label={`Delete ${name}`} onClick={onDelete}>
      <X size={14} />
    </IconButton>
  </div>
);
