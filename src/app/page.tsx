import { Shelf } from "@/ui/shelf/Shelf";

export default function ShelfPage() {
  return <Shelf />;
}
