// What a person reads off a box with two computers, as rows of a spreadsheet: cells parted by a bar.
export const SHEETS = {
    sockets: `id¦label¦connector¦signal¦balanced¦phantom¦nominal dbu¦max dbu¦impedance ohm¦link¦ein dbu¦lane id¦lane way¦lane point¦lane channels¦lane device direction
mic-1¦Mic 1¦combo-f¦¦on¦offers¦¦10¦3000¦¦-127¦in¦in¦Mic 1¦¦
mic-2¦Mic 2¦combo-f¦¦on¦offers¦¦10¦3000¦¦-127¦in¦in¦Mic 2¦¦
mic-3¦Mic 3¦combo-f¦¦on¦offers¦¦10¦3000¦¦-127¦in¦in¦Mic 3¦¦
line-1¦Line 1¦trs-3.5¦¦¦¦¦¦20000¦¦¦in¦in¦Line 1¦¦
usb-1¦First computer¦usb-c¦¦¦¦¦¦¦device¦¦first-1¦in¦First computer 1¦¦playback
¦¦¦¦¦¦¦¦¦¦¦first-2¦in¦First computer 2¦¦playback
¦¦¦¦¦¦¦¦¦¦¦to-first-1¦out¦To the first 1¦¦recording
¦¦¦¦¦¦¦¦¦¦¦to-first-2¦out¦To the first 2¦¦recording
usb-2¦Second computer¦usb-c¦¦¦¦¦¦¦device¦¦second-1¦in¦Second computer 1¦¦playback
¦¦¦¦¦¦¦¦¦¦¦to-second-1¦out¦To the second 1¦¦recording
phones-1¦Phones 1¦trs-6.35¦headphone¦¦¦¦16¦10¦¦¦out¦out¦Phones 1¦¦
phones-2¦Phones 2¦trs-6.35¦headphone¦¦¦¦16¦10¦¦¦out¦out¦Phones 2¦¦
speakers-left¦Loudspeakers left¦trs-6.35¦¦on¦¦4¦22¦120¦¦¦out¦out¦Loudspeakers¦1¦
speakers-right¦Loudspeakers right¦trs-6.35¦¦on¦¦4¦22¦120¦¦¦out¦out¦Loudspeakers¦2¦`,
    points: `id¦kind¦label¦channels¦gain from¦gain to¦gain db¦gain scale marks¦fader from¦fader to¦fader db¦fader scale marks¦mute
mic-1¦strip¦Mic 1¦1¦0¦66¦0¦0=0, 10=66¦-90¦10¦0¦0=-90, 2=-40, 4=-20, 6=-10, 8=-3, 10=10¦off
mic-2¦strip¦Mic 2¦1¦0¦66¦0¦0=0, 10=66¦-90¦10¦0¦0=-90, 2=-40, 4=-20, 6=-10, 8=-3, 10=10¦off
mic-3¦strip¦Mic 3¦1¦0¦66¦0¦0=0, 10=66¦-90¦10¦0¦0=-90, 2=-40, 4=-20, 6=-10, 8=-3, 10=10¦off
line-1¦strip¦Line 1¦2¦-20¦20¦0¦0=-20, 10=20¦-90¦10¦0¦0=-90, 2=-40, 4=-20, 6=-10, 8=-3, 10=10¦off
first-1¦strip¦First computer 1¦2¦¦¦¦¦-90¦10¦0¦0=-90, 2=-40, 4=-20, 6=-10, 8=-3, 10=10¦off
first-2¦strip¦First computer 2¦2¦¦¦¦¦-90¦10¦0¦0=-90, 2=-40, 4=-20, 6=-10, 8=-3, 10=10¦off
second-1¦strip¦Second computer 1¦2¦¦¦¦¦-90¦10¦0¦0=-90, 2=-40, 4=-20, 6=-10, 8=-3, 10=10¦off
to-first-1¦bus¦To the first 1¦2¦¦¦¦¦-90¦10¦0¦0=-90, 2=-40, 4=-20, 6=-10, 8=-3, 10=10¦
to-first-2¦bus¦To the first 2¦2¦¦¦¦¦-90¦10¦0¦0=-90, 2=-40, 4=-20, 6=-10, 8=-3, 10=10¦
to-second-1¦bus¦To the second 1¦2¦¦¦¦¦-90¦10¦0¦0=-90, 2=-40, 4=-20, 6=-10, 8=-3, 10=10¦
phones-1¦bus¦Phones 1¦2¦¦¦¦¦-90¦10¦0¦0=-90, 2=-40, 4=-20, 6=-10, 8=-3, 10=10¦
phones-2¦bus¦Phones 2¦2¦¦¦¦¦-90¦10¦0¦0=-90, 2=-40, 4=-20, 6=-10, 8=-3, 10=10¦
speakers¦bus¦Loudspeakers¦2¦¦¦¦¦-90¦10¦0¦0=-90, 2=-40, 4=-20, 6=-10, 8=-3, 10=10¦off`,
    settings: `id¦label¦kind¦choices¦factory¦made at by¦effect value¦effect socket¦effect signal¦effect phantom
phantom-1¦Phantom power, Mic 1¦switch¦¦off¦unit¦on¦Mic 1¦¦on
input-1¦Input type, Mic 1¦choice¦Microphone | Line | Instrument¦Microphone¦unit¦Microphone¦Mic 1¦microphone¦
¦¦¦¦¦¦Line¦Mic 1¦professional-line¦
¦¦¦¦¦¦Instrument¦Mic 1¦instrument¦
phantom-2¦Phantom power, Mic 2¦switch¦¦off¦unit¦on¦Mic 2¦¦on
input-2¦Input type, Mic 2¦choice¦Microphone | Line | Instrument¦Microphone¦unit¦Microphone¦Mic 2¦microphone¦
¦¦¦¦¦¦Line¦Mic 2¦professional-line¦
¦¦¦¦¦¦Instrument¦Mic 2¦instrument¦
phantom-3¦Phantom power, Mic 3¦switch¦¦off¦unit¦on¦Mic 3¦¦on
input-3¦Input type, Mic 3¦choice¦Microphone | Line | Instrument¦Microphone¦unit¦Microphone¦Mic 3¦microphone¦
¦¦¦¦¦¦Line¦Mic 3¦professional-line¦
¦¦¦¦¦¦Instrument¦Mic 3¦instrument¦`,
    auto_mutes: `mutes¦while open
Loudspeakers¦Mic 1, Mic 2, Mic 3`,
    grows: `id¦label¦least¦most¦parts
mics¦microphone¦1¦16¦mic, phantom, input
lines¦stereo line¦1¦8¦line
first¦first-computer playback device¦1¦8¦first
second¦second-computer playback device¦1¦8¦second
to-first¦first-computer recording device¦1¦8¦to-first
to-second¦second-computer recording device¦1¦8¦to-second
phones¦headphone output¦1¦6¦phones`,
    meters: `id¦label¦point¦tap¦zone name¦zone from db
mic-1¦Mic 1¦Mic 1¦pre-fader¦Signal¦-40
¦¦¦¦Peak¦12
mic-2¦Mic 2¦Mic 2¦pre-fader¦Signal¦-40
¦¦¦¦Peak¦12
mic-3¦Mic 3¦Mic 3¦pre-fader¦Signal¦-40
¦¦¦¦Peak¦12
to-first-1¦To the first 1¦To the first 1¦¦Signal¦-50
¦¦¦¦Nominal¦-9
¦¦¦¦Peak¦3
to-first-2¦To the first 2¦To the first 2¦¦Signal¦-50
¦¦¦¦Nominal¦-9
¦¦¦¦Peak¦3
to-second-1¦To the second 1¦To the second 1¦¦Signal¦-50
¦¦¦¦Nominal¦-9
¦¦¦¦Peak¦3
phones-1¦Phones 1¦Phones 1¦¦Signal¦-50
¦¦¦¦Nominal¦-9
¦¦¦¦Peak¦3
phones-2¦Phones 2¦Phones 2¦¦Signal¦-50
¦¦¦¦Nominal¦-9
¦¦¦¦Peak¦3
speakers¦Loudspeakers¦Loudspeakers¦¦Signal¦-50
¦¦¦¦Nominal¦-9
¦¦¦¦Peak¦3`,
    lamps: `id¦label¦point
mute-mic-1¦Mute, Mic 1¦Mic 1
mute-mic-2¦Mute, Mic 2¦Mic 2
mute-mic-3¦Mute, Mic 3¦Mic 3
mute-line-1¦Mute, Line 1¦Line 1
mute-first-1¦Mute, First computer 1¦First computer 1
mute-first-2¦Mute, First computer 2¦First computer 2
mute-second-1¦Mute, Second computer 1¦Second computer 1`,
};
