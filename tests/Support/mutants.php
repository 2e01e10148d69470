<?php

declare(strict_types=1);

// Breaks the safety rules one at a time, in a copy, and sees whether a test notices:  php tests/Support/mutants.php
// [PART OF A NAME]

$root = dirname(__DIR__, 2);
$copy = $root.'/var/mutants';
$mutants = [
    // name, file in core/, what stands there, what is put instead
    [
        'point 1 always met',
        'Clearance/RequiredFeatures.php',
        '$status = PointReport::worst($items);',
        '$status = PointStatus::Met;',
    ],
    [
        'point 1 samples of all looks together',
        'Clearance/RequiredFeatures.php',
        'return max([0, ...array_map(',
        'return array_sum([0, ...array_map(',
    ],
    [
        'point 1 out of season',
        'Clearance/RequiredFeatures.php',
        'if (!$dossier->canBeSeen($finding->character)) {',
        'if (false) {',
    ],
    [
        'point 1 one of several is enough',
        'Flora/RequiredFeature.php',
        'return [] === array_filter($oneOf, fn (string|float $value): bool => !$this->accepts($value));',
        'return [] !== array_filter($oneOf, fn (string|float $value): bool => $this->accepts($value));',
    ],
    [
        'point 2 always met',
        'Clearance/NoContradiction.php',
        '$status = PointReport::worst($items);',
        '$status = PointStatus::Met;',
    ],
    [
        'point 2 unusual things never count',
        'Clearance/NoContradiction.php',
        '$explained = DescriptionError::explains(\count($unusual), $looks);',
        '$explained = true;',
    ],
    [
        'point 2 taken back is forgotten',
        'Clearance/NoContradiction.php',
        'foreach ($finding->unsettledTakenBack() as $reading) {',
        'foreach ([] as $reading) {',
    ],
    [
        'point 2 a required feature seen otherwise',
        'Clearance/NoContradiction.php',
        "return \$otherwise ? ['required-otherwise', []] : null;",
        'return null;',
    ],
    ['point 3 always met', 'Clearance/LookAlikesExcluded.php', 'return [] === $open', 'return true'],
    ['point 3 one organ', 'Identification/Danger.php', 'private const ORGANS = 2;', 'private const ORGANS = 1;'],
    [
        'point 3 bark and outline',
        'Identification/Danger.php',
        ' && [] !== array_filter($organs, static fn (Organ $organ): bool => $organ->decidesAlone());',
        ';',
    ],
    [
        'point 3 decides only by what is stated',
        'Identification/Danger.php',
        '\in_array($read, $decisive, true) || ',
        '',
    ],
    [
        'looks whatever is required',
        'Identification/NextLook.php',
        '[$b[1]->first, $b[0]] <=> [$a[1]->first, $a[0]]',
        '$b[0] <=> $a[0]',
    ],
    [
        'point 3 unsure looks exclude',
        'Examination/Observation.php',
        'return Certainty::Sure === $this->certainty && Whereabouts::Tree === $this->where;',
        'return Whereabouts::Tree === $this->where;',
    ],
    [
        'point 3 litter excludes',
        'Examination/Observation.php',
        'return Certainty::Sure === $this->certainty && Whereabouts::Tree === $this->where;',
        'return Certainty::Sure === $this->certainty;',
    ],
    [
        'point 3 doubted lines exclude',
        'Flora/StatedNever.php',
        'return \in_array(ReviewVerdict::Doubted, $this->lastWords(), true);',
        'return false;',
    ],
    [
        'point 3 hazards by eating only',
        'Flora/Hazard.php',
        "return 'people' === \$this->who",
        "return 'people' === \$this->who && 'eating' === \$this->way",
    ],
    [
        'point 4 always met',
        'Clearance/Strength.php',
        "'strength',\n            \$status,",
        "'strength', PointStatus::Met,",
    ],
    ['point 4 fit ignored', 'Clearance/Strength.php', '!$dossier->identification->hasGoodFit() =>', 'false =>'],
    [
        'point 4 lead of a half',
        'Identification/Identification.php',
        'public const LEAD = 0.95;',
        'public const LEAD = 0.5;',
    ],
    [
        'point 4 unlisted ignored',
        'Clearance/Strength.php',
        '$dossier->identification->unlisted > self::MOST_UNLISTED =>',
        'false =>',
    ],
    [
        'point 4 unlisted up to a fifth',
        'Clearance/Strength.php',
        'public const MOST_UNLISTED = 0.02;',
        'public const MOST_UNLISTED = 0.2;',
    ],
    ['point 4 whoever leads', 'Clearance/Strength.php', '!$this->leads($dossier) =>', 'false =>'],
    [
        'point 5 always met',
        'Clearance/Breadth.php',
        "'breadth',\n            0 === \$missing ? PointStatus::Met : PointStatus::Open,",
        "'breadth', PointStatus::Met,",
    ],
    [
        'point 5 unsure counts as organ',
        'Examination/Finding.php',
        ' && Certainty::Unsure !== $observation->certainty',
        '',
    ],
    [
        'point 5 out of season counts as organ',
        'Clearance/Breadth.php',
        ' && $dossier->canBeSeen($finding->character)',
        '',
    ],
    [
        'point 6 always met',
        'Clearance/PartAndCondition.php',
        '$status = PointReport::worst($items);',
        '$status = PointStatus::Met;',
    ],
    [
        'point 6 answered at any time',
        'Clearance/PartAndCondition.php',
        '!$this->stillHolds($dossier, $answer) =>',
        'false =>',
    ],
    [
        'point 6 answered before the window',
        'Clearance/PartAndCondition.php',
        '&& true === $dossier->phenology->window($dossier->claim->part)?->contains(DayOfYear::on($answer->on));',
        ';',
    ],
    [
        'point 7 always met',
        'Clearance/PlaceAllows.php',
        "'place',\n            \$status,",
        "'place', PointStatus::Met,",
    ],
    [
        'point 7 protected ignored',
        'Clearance/PlaceAllows.php',
        'if ($dossier->flora()->taxon($id)->status->protected) {',
        'if (false) {',
    ],
    [
        'point 7 any region',
        'Clearance/PlaceAllows.php',
        '!$dossier->flora()->region->contains($dossier->phenology->place) =>',
        'false =>',
    ],
    [
        'point 7 any altitude',
        'Flora/Region.php',
        "            && \$place->altitude->metres() >= \$this->lowest->metres()\n            && \$place->altitude->metres() <= \$this->highest->metres();",
        ';',
    ],
    ['point 7 any shift', 'Season/HopkinsShift.php', 'public const FARTHEST = 40;', 'public const FARTHEST = 400;'],
    [
        'point 7 the claimed kind only',
        'Clearance/PlaceAllows.php',
        ' || $dossier->identification->posteriorOf($id) >= self::POSSIBLE,',
        ',',
    ],
    ['season the other half of the Earth', 'Season/HopkinsShift.php', 'return !$this->turned && abs(', 'return abs('],
    [
        'season ripening ends later uphill',
        'Season/HopkinsShift.php',
        'Phenophase::Fruiting => [$this->days, -abs($this->days)],',
        'Phenophase::Fruiting => [$this->days, $this->days],',
    ],
    [
        'season the leaves fall later uphill',
        'Season/HopkinsShift.php',
        'Phenophase::InLeaf => [$this->days, -$this->days],',
        'Phenophase::InLeaf => [$this->days, $this->days],',
    ],
    [
        'point 8 always met',
        'Clearance/People.php',
        "return new PointReport('people', \$status,",
        "return new PointReport('people', PointStatus::Met,",
    ],
    ['point 8 second stale', 'Clearance/People.php', '!(new Freshness())->judge($own)->isMet() =>', 'false =>'],
    [
        'point 8 second has not reached it',
        'Clearance/People.php',
        "!\$this->reaches(\$own) => ['second-has",
        "false => ['second-has",
    ],
    [
        'point 8 second lacks features',
        'Clearance/People.php',
        '!(new RequiredFeatures())->judge($own)->isMet() =>',
        'false =>',
    ],
    [
        'point 8 second contradicted',
        'Clearance/People.php',
        '!(new NoContradiction())->judge($own)->isMet() =>',
        'false =>',
    ],
    [
        'point 8 second leaves dangers',
        'Clearance/People.php',
        '!(new LookAlikesExcluded())->judge($own)->isMet() =>',
        'false =>',
    ],
    ['point 8 second a copy', 'Clearance/People.php', '$second->isACopyOf($dossier->examination()) =>', 'false =>'],
    [
        'point 8 second the same person',
        'Clearance/People.php',
        "'' !== \$second->person && \$second->person === \$dossier->person =>",
        'false =>',
    ],
    [
        'point 8 dissent forgotten',
        'Clearance/People.php',
        'if ($this->dissents($dossier->seenBySecond($second))) {',
        'if (false) {',
    ],
    [
        'point 8 dissent by contradiction forgotten',
        'Clearance/People.php',
        'return $another || PointStatus::Broken',
        'return $another && PointStatus::Broken',
    ],
    ['point 8 within three features', 'Clearance/People.php', 'private const WITHIN = 3;', 'private const WITHIN = 0;'],
    [
        'point 9 always met',
        'Clearance/Freshness.php',
        "'freshness',\n            \$status,",
        "'freshness', PointStatus::Met,",
    ],
    [
        'dispute one look outvotes',
        'Examination/Dispute.php',
        'if ($votes > \count($looks) - \count($side)) {',
        'if ($votes >= 1) {',
    ],
    [
        'dispute a tie settles',
        'Examination/Dispute.php',
        'if ($votes > \count($looks) - \count($side)) {',
        'if ($votes >= \count($looks) - \count($side)) {',
    ],
    [
        'dispute a tap is a further look',
        'Examination/Dispute.php',
        'if (!$last->look->further || !$last->canDecide()) {',
        'if (!$last->canDecide()) {',
    ],
    [
        'dispute looks at once are several',
        'Examination/Dispute.php',
        'private const SECONDS_APART = 15;',
        'private const SECONDS_APART = 0;',
    ],
    ['dispute without end', 'Examination/Dispute.php', 'public const MOST_LOOKS = 5;', 'public const MOST_LOOKS = 50;'],
    ['until without the second', 'Clearance/Gate.php', 'if ([] !== $confirmed) {', 'if (false) {'],
    [
        'until without the permission',
        'Clearance/Gate.php',
        'if (null !== $dossier->terms->validUntil) {',
        'if (false) {',
    ],
    [
        'until without the window',
        'Clearance/Gate.php',
        'if (null !== $window && $window->days() < 365) {',
        'if (false) {',
    ],
    ['the bar never falls', 'Clearance/Gate.php', 'null !== $bar => new Clearance(', 'false => new Clearance('],
    ['the covered are led by the hope', 'Assessment/Assessor.php', '$aim = $inquiry->covered', '$aim = false'],
    ['audit satisfied with one organ', 'Rehearsal/FloraAudit.php', 'Danger::suffice($organs) ||', '[] !== $organs ||'],
];

passthru('rm -rf '.escapeshellarg($copy).' && mkdir -p '.escapeshellarg($copy));
foreach (
    ['core', 'src', 'tests', 'flora', 'config', 'composer.json', '.env', 'phpunit.dist.xml', 'bin', 'docs', 'demo'] as $entry
) {
    if (file_exists($root.'/'.$entry)) {
        passthru('cp -r '.escapeshellarg($root.'/'.$entry).' '.escapeshellarg($copy.'/'.$entry));
    }
}
// its autoloader finds the copied classes
passthru('cp -al '.escapeshellarg($root.'/vendor').' '.escapeshellarg($copy.'/vendor'));
$suites =
    'tests/Core/Assessment tests/Core/Clearance tests/Core/Examination tests/Core/Identification '.
        'tests/Core/Season tests/Core/Flora tests/Core/Rehearsal/FloraAuditTest.php tests/Reference/HostileTest.php';
/** @phpstan-impure */
function notices(string $copy, string $suites): bool
{
    foreach (explode(' ', $suites) as $suite) {
        exec(
            'cd '.
                escapeshellarg($copy).
                ' && php vendor/bin/phpunit --no-configuration --bootstrap vendor/autoload.php --no-progress '.
                    '--stop-on-defect '.
                $suite.
                ' 2>&1',
            $said,
            $code,
        );
        if (0 !== $code) {
            return true;
        }
    }

    return false;
}
if (notices($copy, $suites)) {
    fwrite(\STDERR, "The tests fail before anything is broken.\n");
    exit(2);
}
$alive = 0;
foreach ($mutants as [$name, $file, $there, $instead]) {
    if (!str_contains($name, $argv[1] ?? '')) {
        continue;
    }
    $path = $copy.'/core/'.$file;
    $text = (string) file_get_contents($path);
    if (1 !== substr_count($text, $there)) {
        printf("?  %-45s %s no longer holds that once\n", $name, $file);
        ++$alive;
        continue;
    }
    file_put_contents($path, str_replace($there, $instead, $text));
    $killed = notices($copy, $suites);
    file_put_contents($path, $text);
    $alive += (int) !$killed;
    printf("%s %-45s %s\n", $killed ? 'ok' : '!!', $name, $killed ? '' : 'survives');
}
passthru('rm -rf '.escapeshellarg($copy));
printf("%d not killed\n", $alive);
exit(0 === $alive ? 0 : 1);
