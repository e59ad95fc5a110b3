/** Words that people say for the same thing; each line is one thing. */
const SAME = `
menu hamburger bars navigation burger
close x cross cancel dismiss clear
search find magnifier magnifying lookup zoom
phone call telephone handset dial
mail email e-mail envelope letter post message
home house start
place location pin map marker address
calendar date day appointment schedule
clock time hour watch opening
person user profile account human man woman member
people users group team community family
settings gear cog preferences options sliders adjustments
cart basket shopping bag shop store checkout
heart love favorite like
star rating favorite
download save
upload send share
share network social connections
link chain url
outward external leave elsewhere open
arrow direction
next right forward
back left previous return
up above
down below more
add plus new create
remove minus less subtract
delete trash bin rubbish garbage waste
edit pencil pen write change
check tick done ok yes accept success
warning alert caution danger exclamation triangle
info information about i
help question support
lock secure private closed padlock
unlock open-lock
eye view see visible show
hide invisible
picture image photo photograph gallery
camera photo
video film movie play clip
music song note audio sound
speaker volume sound loud
mute silent
microphone voice record
chat talk conversation bubble comment speech message
bell notification alarm ring
file document page paper sheet
folder directory
book read library
newspaper news press article
feed rss subscribe newsletter
money cash dollar euro coin price payment
card credit payment bank
receipt bill invoice
ticket booking admission
gift present
truck delivery shipping lorry van
car auto vehicle drive taxi
bus coach
train rail railway tram
bike bicycle cycle
plane airplane flight travel airport
ship boat ferry sail harbor port
anchor harbor port sea
walk walking foot
bed sleep hotel room night
food eat restaurant dining fork knife meal cutlery
coffee cup tea drink cafe
bread bakery bake loaf
cake pastry birthday
wheat grain flour
wine bar glass
leaf plant nature green eco
tree wood forest
flower blossom garden
sun day sunny bright light
moon night dark
cloud weather sky
rain umbrella shower
snow winter cold
wind breeze
fire flame hot
water drop wet
mountain hill hike
telescope observatory astronomy stars
planet globe world earth international language
rocket launch space
wheelchair accessible accessibility disability
baby child stroller kids children
dog cat pet animal
first-aid health medical doctor hospital
pill medicine pharmacy
key access
bulb idea lamp light
wrench tool repair fix spanner
hammer build tool
scissors cut
brush paint art
palette color
chart graph statistics analytics bars
table grid
list items bullets
filter funnel
sort order
refresh reload sync update
power on off
wifi internet wireless
phone-mobile smartphone mobile cell
laptop computer
monitor screen desktop display
print printer
keyboard type
mouse cursor pointer
hand gesture touch
thumb like approve
smile happy face emoji
sad unhappy
flag mark country
trophy award prize winner cup
medal award
briefcase work job business
building office company city
bank institution museum
church temple
school education graduation learn student
factory industry
stairs steps
door entrance exit
sign-out logout exit leave
sign-in login enter
copy duplicate clone
paste clipboard
code developer programming
bug error
battery charge
plug electricity power
recycle environment
luggage suitcase baggage travel
parking garage
fuel gas petrol
life-buoy help rescue safety
swim pool
fish seafood
`;

const GROUPS: readonly (readonly string[])[] = SAME.trim()
  .split('\n')
  .map((line) => line.split(' '));

const BY_WORD: ReadonlyMap<string, ReadonlySet<string>> = (() => {
  const all = new Map<string, Set<string>>();
  for (const group of GROUPS)
    for (const word of group) {
      const known = all.get(word) ?? new Set();
      for (const other of group) if (other !== word) known.add(other);
      all.set(word, known);
    }
  return all;
})();

/** Other words for the same thing, in small letters; none of what is not known. */
export const synonymsOf = (word: string): readonly string[] => [...(BY_WORD.get(word) ?? [])];
