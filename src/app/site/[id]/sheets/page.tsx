import { Sheets } from "@/ui/sheets/Sheets";

export default function SheetsRoute() {
  return <Sheets />;
}
