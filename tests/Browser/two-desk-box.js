// What a person reads off a box with two computers, as rows of a spreadsheet: cells parted by a bar.
export const SHEETS = {
    sockets: `id¦label¦connector¦signal¦balanced¦phantom¦nominal dbu¦max dbu¦impedance ohm¦link¦ein dbu¦lane id¦lane way¦lane point¦lane channels¦lane device direction
mic-1¦Mic 1¦xlr-f¦¦on¦offers¦¦10¦3000¦¦-126¦in¦in¦Mic 1¦¦
mic-2¦Mic 2¦xlr-f¦¦on¦offers¦¦10¦3000¦¦-126¦in¦in¦Mic 2¦¦
mic-3¦Mic 3¦xlr-f¦¦on¦offers¦¦10¦3000¦¦-126¦in¦in¦Mic 3¦¦
optical-1¦Optical in 1¦optical¦¦¦¦¦¦¦¦¦in¦in¦Optical 1¦¦
optical-2¦Optical in 2¦optical¦¦¦¦¦¦¦¦¦in¦in¦Optical 2¦¦
send-1¦Send 1¦trs-3.5¦¦¦¦-7.8¦8¦100¦¦¦out¦out¦Send 1¦¦
phones-1¦Phones 1¦trs-6.35¦headphone¦¦¦¦16¦10¦¦¦out¦out¦Phones 1¦¦
speakers-left¦Loudspeakers left¦trs-6.35¦¦on¦¦4¦22¦120¦¦¦out¦out¦Loudspeakers¦1¦
speakers-right¦Loudspeakers right¦trs-6.35¦¦on¦¦4¦22¦120¦¦¦out¦out¦Loudspeakers¦2¦
usb-first¦First computer¦usb-c¦¦¦¦¦¦¦device¦¦first-play-1¦in¦First computer 1¦¦playback
¦¦¦¦¦¦¦¦¦¦¦first-play-2¦in¦First computer 2¦¦playback
¦¦¦¦¦¦¦¦¦¦¦first-record-1¦out¦To the first 1¦¦recording
¦¦¦¦¦¦¦¦¦¦¦first-record-2¦out¦To the first 2¦¦recording
usb-second¦Second computer¦usb-c¦¦¦¦¦¦¦device¦¦second-play-1¦in¦Second computer 1¦¦playback
¦¦¦¦¦¦¦¦¦¦¦second-record-1¦out¦To the second 1¦¦recording`,
    points: `id¦kind¦label¦channels¦gain from¦gain to¦gain db¦gain scale marks¦fader from¦fader to¦fader db¦fader scale marks¦mute¦solo¦effects most¦effects kinds
mic-1¦strip¦Mic 1¦1¦0¦66¦0¦0=0, 10=66¦-90¦10¦0¦0=-90, 2=-40, 4=-20, 6=-10, 8=-3, 10=10¦off¦Phones 1¦3¦gate, equaliser, limiter
mic-2¦strip¦Mic 2¦1¦0¦66¦0¦0=0, 10=66¦-90¦10¦0¦0=-90, 2=-40, 4=-20, 6=-10, 8=-3, 10=10¦off¦Phones 1¦3¦gate, equaliser, limiter
mic-3¦strip¦Mic 3¦1¦0¦66¦0¦0=0, 10=66¦-90¦10¦0¦0=-90, 2=-40, 4=-20, 6=-10, 8=-3, 10=10¦off¦Phones 1¦3¦gate, equaliser, limiter
optical-1¦strip¦Optical 1¦2¦¦¦¦¦-90¦10¦0¦0=-90, 2=-40, 4=-20, 6=-10, 8=-3, 10=10¦off¦Phones 1¦¦
optical-2¦strip¦Optical 2¦2¦¦¦¦¦-90¦10¦0¦0=-90, 2=-40, 4=-20, 6=-10, 8=-3, 10=10¦off¦Phones 1¦¦
first-play-1¦strip¦First computer 1¦2¦¦¦¦¦-90¦10¦0¦0=-90, 2=-40, 4=-20, 6=-10, 8=-3, 10=10¦off¦Phones 1¦¦
first-play-2¦strip¦First computer 2¦2¦¦¦¦¦-90¦10¦0¦0=-90, 2=-40, 4=-20, 6=-10, 8=-3, 10=10¦off¦Phones 1¦¦
second-play-1¦strip¦Second computer 1¦2¦¦¦¦¦-90¦10¦0¦0=-90, 2=-40, 4=-20, 6=-10, 8=-3, 10=10¦off¦Phones 1¦¦
send-1¦bus¦Send 1¦2¦¦¦¦¦-90¦10¦0¦0=-90, 2=-40, 4=-20, 6=-10, 8=-3, 10=10¦¦¦¦
phones-1¦bus¦Phones 1¦2¦¦¦¦¦-90¦10¦0¦0=-90, 2=-40, 4=-20, 6=-10, 8=-3, 10=10¦¦¦¦
speakers¦bus¦Loudspeakers¦2¦¦¦¦¦-90¦10¦0¦0=-90, 2=-40, 4=-20, 6=-10, 8=-3, 10=10¦off¦¦¦
first-record-1¦bus¦To the first 1¦2¦¦¦¦¦-90¦10¦0¦0=-90, 2=-40, 4=-20, 6=-10, 8=-3, 10=10¦¦¦¦
first-record-2¦bus¦To the first 2¦2¦¦¦¦¦-90¦10¦0¦0=-90, 2=-40, 4=-20, 6=-10, 8=-3, 10=10¦¦¦¦
second-record-1¦bus¦To the second 1¦2¦¦¦¦¦-90¦10¦0¦0=-90, 2=-40, 4=-20, 6=-10, 8=-3, 10=10¦¦¦¦`,
    settings: `id¦label¦kind¦choices¦factory¦made at by¦effect value¦effect socket¦effect phantom¦effect solo tap
phantom-1¦Phantom power, Mic 1¦switch¦¦off¦unit¦on¦Mic 1¦on¦
phantom-2¦Phantom power, Mic 2¦switch¦¦off¦unit¦on¦Mic 2¦on¦
phantom-3¦Phantom power, Mic 3¦switch¦¦off¦unit¦on¦Mic 3¦on¦
listening¦A sound alone is heard¦choice¦Before the fader | After the fader¦Before the fader¦unit¦Before the fader¦¦¦pre-fader
¦¦¦¦¦¦After the fader¦¦¦post-fader`,
    auto_mutes: `mutes¦while open
Loudspeakers¦Mic 1, Mic 2, Mic 3`,
    grows: `id¦label¦least¦most¦parts
mics¦microphone¦1¦16¦mic, phantom
optical¦optical input¦1¦4¦optical
first-plays¦first-computer playback device¦1¦8¦first-play
first-records¦first-computer recording device¦1¦8¦first-record
second-plays¦second-computer playback device¦1¦8¦second-play
second-records¦second-computer recording device¦1¦8¦second-record
sends¦send¦1¦6¦send
phones¦headphone output¦1¦6¦phones`,
    meters: `id¦label¦point¦tap¦zone name¦zone from db
mic-1¦Mic 1¦Mic 1¦pre-fader¦Signal¦-40
¦¦¦¦Peak¦12
mic-2¦Mic 2¦Mic 2¦pre-fader¦Signal¦-40
¦¦¦¦Peak¦12
mic-3¦Mic 3¦Mic 3¦pre-fader¦Signal¦-40
¦¦¦¦Peak¦12
send-1¦Send 1¦Send 1¦¦Signal¦-50
¦¦¦¦Nominal¦-9
¦¦¦¦Peak¦3
phones-1¦Phones 1¦Phones 1¦¦Signal¦-50
¦¦¦¦Nominal¦-9
¦¦¦¦Peak¦3
speakers¦Loudspeakers¦Loudspeakers¦¦Signal¦-50
¦¦¦¦Nominal¦-9
¦¦¦¦Peak¦3
first-record-1¦To the first 1¦To the first 1¦¦Signal¦-50
¦¦¦¦Nominal¦-9
¦¦¦¦Peak¦3
first-record-2¦To the first 2¦To the first 2¦¦Signal¦-50
¦¦¦¦Nominal¦-9
¦¦¦¦Peak¦3
second-record-1¦To the second 1¦To the second 1¦¦Signal¦-50
¦¦¦¦Nominal¦-9
¦¦¦¦Peak¦3`,
    lamps: `id¦label¦point
mute-mic-1¦Mute, Mic 1¦Mic 1
mute-mic-2¦Mute, Mic 2¦Mic 2
mute-mic-3¦Mute, Mic 3¦Mic 3
mute-optical-1¦Mute, Optical 1¦Optical 1
mute-optical-2¦Mute, Optical 2¦Optical 2
mute-first-play-1¦Mute, First computer 1¦First computer 1
mute-first-play-2¦Mute, First computer 2¦First computer 2
mute-second-play-1¦Mute, Second computer 1¦Second computer 1`,
};
