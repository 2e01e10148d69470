import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { gaugeQuery } from "../../api/queries";
import { Button } from "../../ui/controls";

const IN_MM: Record<string, number> = { mm: 1, cm: 10, m: 1000, in: 25.4, ft: 304.8 };

/** Puts what the caliper or tape reads into the open field, in the field's unit. Nothing there: nothing is put. */
export function FromGauge({ unit, onRead }: { unit: string; onRead: (number: string) => void }) {
  const queries = useQueryClient();
  const [said, setSaid] = useState("");
  const read = async () => {
    try {
      const gauge = await queries.fetchQuery({ ...gaugeQuery, staleTime: 0 });
      const [from, to] = [IN_MM[gauge.unit], IN_MM[unit]];
      if (gauge.reading == null || !from || !to) {
        setSaid("The caliper sends nothing. Set the stand-in under People, Devices.");
        return;
      }
      onRead(String(Number(((gauge.reading * from) / to).toPrecision(5))));
      setSaid(`${gauge.standIn ? "stand-in" : "caliper"}: ${gauge.raw.trim()}`);
    } catch (error) {
      setSaid(error instanceof Error ? error.message : "The caliper cannot be reached.");
    }
  };
  return (
    <span>
      <Button onClick={() => void read()}>From the caliper</Button>
      <span role="status" className="block max-w-40 text-sm text-faded">
        {said}
      </span>
    </span>
  );
}
