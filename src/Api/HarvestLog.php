<?php

declare(strict_types=1);

namespace App\Api;

use App\Api\View\HarvestView;
use App\Entity\HarvestRecord;
use App\Entity\User;
use Hylognosis\Flora\Flora;
use Hylognosis\Measure\Amount;
use Symfony\Bundle\SecurityBundle\Security;

/** Shows logged harvests in the units of whoever looks at them. */
final readonly class HarvestLog
{
    public function __construct(private Security $security)
    {
    }

    public function view(Flora $flora, HarvestRecord $harvest): HarvestView
    {
        $decision = $harvest->decision;
        $specimen = $decision->examination->specimen;
        $taxon = $flora->taxon($decision->taxon);
        $viewer = $this->security->getUser();
        $imperial = $viewer instanceof User && 'imperial' === $viewer->units;

        return new HarvestView(
            $harvest->id, $harvest->takenOn, $harvest->takenBy->name, $taxon->id, $taxon->commonName(), $taxon->part($decision->part)->label,
            Amount::of($harvest->amount, $harvest->unit)->in($harvest->unit->counterpart($imperial))->words(),
            $harvest->ripeness, $harvest->shareLeft, $harvest->note, $specimen->tag, $specimen->site->name, $decision->examination->id,
        );
    }
}
