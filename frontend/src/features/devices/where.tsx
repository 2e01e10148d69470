import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { receiverQuery } from "../../api/queries";
import { Button } from "../../ui/controls";

export type Spot = { latitude: number; longitude: number; altitude: number | null; uncertainty: number | null; from: "receiver" | "stand-in" };
export type Where = {
  spot: Spot | null;
  /** Why there is none, or how good it is; a sentence. */
  said: string;
  asking: boolean;
  source: "device" | "stand-in";
  watching: boolean;
  watch: (on: boolean) => void;
  once: () => Promise<Spot | null>;
};

const KEY = "position-from";
/** Whether positions come from this device or from the stand-in; kept on this device. */
export const positionSource = (): "device" | "stand-in" => (localStorage.getItem(KEY) === "stand-in" ? "stand-in" : "device");
export const takePositionsFrom = (source: "device" | "stand-in") => localStorage.setItem(KEY, source);

const SILENT: Record<string, string> = {
  "no-signal": "The receiver has lost its signal. Step out from under the tree and wait.",
  damaged: "The receiver sends nothing that can be read.",
  silent: "The receiver sends nothing. Set the stand-in under People, Devices.",
};

/** Where one is: by this device, or by the stand-in that plays a receiver. */
export function useWhere(): Where {
  const queries = useQueryClient();
  const [spot, setSpot] = useState<Spot | null>(null);
  const [said, setSaid] = useState("");
  const [asking, setAsking] = useState(false);
  const [watching, setWatching] = useState(false);
  const source = positionSource();
  const told = (next: Spot | null, words: string): Spot | null => {
    setSpot(next);
    setSaid(words);
    setAsking(false);
    return next;
  };
  const ofStandIn = async (): Promise<Spot | null> => {
    try {
      const r = await queries.fetchQuery({ ...receiverQuery, staleTime: 0 });
      if (r.latitude == null || r.longitude == null) return told(null, SILENT[r.because] ?? "The receiver tells no place.");
      return told(
        {
          latitude: r.latitude,
          longitude: r.longitude,
          altitude: r.altitude ?? null,
          uncertainty: r.uncertainty ?? null,
          from: r.standIn ? "stand-in" : "receiver",
        },
        `${r.standIn ? "Stand-in receiver" : "Receiver"}: within ${Math.max(1, Math.round(r.uncertainty ?? 0))} m.`,
      );
    } catch (error) {
      return told(null, error instanceof Error ? error.message : "The receiver cannot be reached.");
    }
  };
  const ofDevice = ({ coords }: GeolocationPosition): Spot | null =>
    told(
      { latitude: coords.latitude, longitude: coords.longitude, altitude: coords.altitude, uncertainty: coords.accuracy, from: "receiver" },
      `This device: within ${Math.max(1, Math.round(coords.accuracy))} m.`,
    );
  const failed = (): Spot | null => told(null, "This device does not tell where it is. Allow it to, or read the place off a map.");
  const once = async (): Promise<Spot | null> => {
    setAsking(true);
    if (source === "stand-in") return ofStandIn();
    if (!("geolocation" in navigator)) return failed();
    return new Promise((done) =>
      navigator.geolocation.getCurrentPosition(
        (at) => done(ofDevice(at)),
        () => done(failed()),
        { timeout: 20_000, enableHighAccuracy: true },
      ),
    );
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: the rest only sets state
  useEffect(() => {
    if (!watching) return;
    setAsking(true);
    if (source === "stand-in") {
      void ofStandIn();
      const timer = setInterval(() => void ofStandIn(), 2000);
      return () => clearInterval(timer);
    }
    if (!("geolocation" in navigator)) {
      failed();
      return;
    }
    const id = navigator.geolocation.watchPosition(ofDevice, failed, { enableHighAccuracy: true });
    return () => navigator.geolocation.clearWatch(id);
  }, [watching, source]);
  return { spot, said, asking, source, watching, watch: setWatching, once };
}

/** Where I am now, once: what it found is given on, and said beside the button. */
export function HereButton({ onFound, label = "Where I am now" }: { onFound: (spot: Spot) => void; label?: string }) {
  const where = useWhere();
  return (
    <div className="flex flex-wrap items-center gap-3">
      <Button disabled={where.asking} onClick={() => void where.once().then((spot) => spot && onFound(spot))}>
        {label}
      </Button>
      <span role="status" className="min-w-0 flex-1 text-sm text-faded">
        {where.asking ? "Asking where this is …" : where.said}
      </span>
    </div>
  );
}

/** Follow me, and how good it is. */
export function WhereLine({ where }: { where: Where }) {
  return (
    <span className="flex flex-wrap items-center gap-2">
      <Button onClick={() => where.watch(!where.watching)} aria-pressed={where.watching}>
        {where.watching ? "Stop following me" : "Where I am"}
      </Button>
      <span role="status" className="text-sm text-faded">
        {where.asking && !where.said ? "Asking …" : where.watching ? where.said : ""}
      </span>
    </span>
  );
}
