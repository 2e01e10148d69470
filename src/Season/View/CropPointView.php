<?php

declare(strict_types=1);

namespace App\Season\View;

use Hylognosis\Crop\CropPoint;
use Hylognosis\Crop\CropPointKind;
use OpenApi\Attributes as OA;

/** What speaks for a crop, or against it, or is not known. */
final readonly class CropPointView
{
    /**
     * @param object $with years, metres, degrees Celsius, shares; days as YYYY-MM-DD; an object even where it is empty
     */
    private function __construct(
        public CropPointKind $kind,
        #[OA\Property(description: '1 for it, -1 against it, 0 not known')] public int $speaks,
        #[OA\Property(
            type: 'object',
            additionalProperties: new OA\AdditionalProperties(
                oneOf: [new OA\Schema(type: 'number'), new OA\Schema(type: 'string')],
            ),
        ),]
        public object $with,
    ) {
    }

    public static function of(CropPoint $point): self
    {
        return new self($point->kind, $point->kind->speaks(), (object) $point->with);
    }
}
