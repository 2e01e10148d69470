<?php

declare(strict_types=1);

namespace App\Trees;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Library\FloraLibrary;
use App\Trees\View\PermissionView;
use App\Trees\View\QuotaView;
use App\Trees\View\SitePageView;
use App\Trees\View\SiteView;
use Hylognosis\Flora\Flora;

/** Draws up the page of a place. */
final readonly class SitePage
{
    public function __construct(
        private SitePermissionRepository $permissions,
        private SpecimenRepository $specimens,
        private TakenHere $taken,
        private FloraLibrary $library,
        private SchoolClock $clock,
    ) {
    }

    public function of(Site $site, User $reader): SitePageView
    {
        $flora = $this->library->flora($reader->flora);
        $year = (int) $this->clock->today()->format('Y');
        $quotas = [];
        foreach ($site->quotas as $what => $allowed) {
            [$taxon, $part] = explode('/', $what) + ['', ''];
            $quotas[] = new QuotaView(
                $what,
                self::label($flora, $what),
                $allowed,
                $this->taken->at($site, $taxon, $part, $year),
            );
        }

        return new SitePageView(
            SiteView::of($site),
            $site->soil,
            $site->light,
            $site->moisture,
            $site->exposure,
            $site->rules,
            $site->protectedTaxa,
            $quotas,
            array_map(
                static fn (SitePermission $p): PermissionView => PermissionView::of(
                    $p,
                    array_map(static fn (string $what): string => self::label($flora, $what), $p->parts),
                ),
                $this->permissions->of($site),
            ),
            $site->boundary,
            $site->entrance,
            $site->car,
            $this->specimens->count(['site' => $site]),
            $reader->role->mayDecide(),
        );
    }

    /** "black elder, flowers"; the ids where the reader's flora does not hold it. */
    private static function label(Flora $flora, string $what): string
    {
        [$taxon, $part] = explode('/', $what) + ['', ''];
        $kind = $flora->taxa[$taxon] ?? null;
        $known = $kind->parts[$part] ?? null;

        return null === $kind || null === $known ? $what : $kind->commonName().', '.$known->label;
    }
}
