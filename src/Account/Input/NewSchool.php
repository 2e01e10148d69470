<?php

declare(strict_types=1);

namespace App\Account\Input;

use App\School\Dates;
use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** The first page: a school and its first instructor. */
final readonly class NewSchool
{
    /**
     * @param string $word      the word the server printed
     * @param string $name      of the school; may be left empty by somebody who forages alone
     * @param string $place     name of the place the seasons are told for
     * @param float  $latitude  degrees, north above 0
     * @param float  $longitude degrees, east above 0
     * @param float  $altitude  metres above the sea
     * @param string $flora     name of the flora to begin with
     * @param string $units     metric or imperial
     * @param bool   $ofOne     somebody who forages alone
     * @param string $person    name of the first instructor
     * @param string $email     address they sign in with
     * @param string $password  twelve letters or more
     */
    public function __construct(
        #[Assert\NotBlank(message: 'Type the word the server printed.', normalizer: 'trim')]
        #[Assert\Length(max: 60)]
        public string $word,
        #[Assert\Length(max: 120)] #[PlainText] public string $name,
        #[Assert\NotBlank(message: 'Say for which place the seasons are told.', normalizer: 'trim')]
        #[Assert\Length(max: 120)]
        #[PlainText] public string $place,
        #[Assert\Range(min: -90, max: 90)] public float $latitude,
        #[Assert\Range(min: -180, max: 180)] public float $longitude,
        #[Assert\Range(min: -430, max: 6000)] public float $altitude,
        #[Assert\Length(max: 80)] public string $flora,
        #[Assert\Choice(['metric', 'imperial'])] public string $units,
        public Dates $dates,
        public bool $ofOne,
        #[Assert\NotBlank(message: 'Say your name.', normalizer: 'trim')]
        #[Assert\Length(max: 120)]
        #[PlainText]
        public string $person,
        #[Assert\NotBlank(message: 'Say the address you will sign in with.', normalizer: 'trim')]
        #[Assert\Email(message: 'That is no e-mail address.')]
        #[Assert\Length(max: 180)] public string $email,
        #[NewPassword] public string $password,
    ) {
    }
}
