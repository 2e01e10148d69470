<?php

declare(strict_types=1);

namespace App\Harvest;

use App\Account\User;
use App\Harvest\View\HarvestView;
use App\Library\FloraLibrary;
use Hylognosis\Measure\Amount;
use Symfony\Bundle\SecurityBundle\Security;

/** Shows logged harvests in the units of whoever looks at them. */
final readonly class HarvestLog
{
    public function __construct(private Security $security, private FloraLibrary $library)
    {
    }

    public function view(HarvestRecord $harvest): HarvestView
    {
        $decision = $harvest->decision;
        $flora = $this->library->flora($decision->examination->flora);
        $specimen = $decision->examination->specimen;
        $taxon = $flora->taxon($decision->taxon);
        $viewer = $this->security->getUser();
        $imperial = $viewer instanceof User && 'imperial' === $viewer->units;

        return new HarvestView(
            $harvest->id, $harvest->takenOn, $harvest->takenBy->name, $flora->name, $taxon->id, $taxon->commonName(), $taxon->part($decision->part)->label,
            Amount::of($harvest->amount, $harvest->unit)->in($harvest->unit->counterpart($imperial))->words(),
            $harvest->ripeness, $harvest->shareLeft, $harvest->note, $specimen->tag, $specimen->site->name, $decision->examination->id,
        );
    }
}
