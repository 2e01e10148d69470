<?php

declare(strict_types=1);

namespace App\Batches\View;

use App\Batches\BatchDoubt;
use App\Batches\BatchState;
use App\Recipes\View\KeepingView;

/** Something that is made. */
final readonly class BatchView
{
    /**
     * @param string              $id          of it
     * @param string              $name        what it is called
     * @param string              $recipe      id of the recipe
     * @param string              $recipeName  what that makes
     * @param string              $edition     hash of the edition that is followed
     * @param bool                $changed     the book has another edition by now, or none
     * @param BatchState          $state       how far it has come
     * @param string              $begunOn     day, YYYY-MM-DD
     * @param string              $by          who began it
     * @param string              $note        what to do otherwise next time
     * @param string              $per         what went in
     * @param float               $grams       that went in
     * @param list<SourceView>    $sources     of which harvests
     * @param list<BatchStepView> $steps       in their order
     * @param list<KeepingView>   $keeping     how long it keeps
     * @param list<string>        $cautions    for the label
     * @param list<string>        $allergens   for the label
     * @param list<UnitView>      $units       jars
     * @param BatchDoubt|null          $doubt       why nothing of it may be labelled
     * @param bool                $mayWork     the reader may go on with it
     * @param bool                $mayRecall   the reader may call it back
     * @param bool                $isThrough   all steps are done
     * @param string              $keepsUntil  the last day a label may name today, YYYY-MM-DD
     * @param BatchKinView|null   $splitFrom   what it was taken out of
     * @param BatchKinView|null   $joinedInto  what it was put to
     * @param list<BatchKinView>  $parts       taken out of it
     * @param list<BatchKinView>  $poured      put to it
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $recipe,
        public string $recipeName,
        public string $edition,
        public bool $changed,
        public BatchState $state,
        public string $begunOn,
        public string $by,
        public string $note,
        public string $per,
        public float $grams,
        public array $sources,
        public array $steps,
        public array $keeping,
        public array $cautions,
        public array $allergens,
        public array $units,
        public ?BatchDoubt $doubt,
        public bool $mayWork,
        public bool $mayRecall,
        public bool $isThrough,
        public string $keepsUntil,
        public ?BatchKinView $splitFrom,
        public ?BatchKinView $joinedInto,
        public array $parts,
        public array $poured,
    ) {
    }
}
